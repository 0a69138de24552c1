import { Tabs } from 'radix-ui';

/** The leaves of a station, as tabs above them; stands inside of Tabs.Root. */
export function LeafTabs({ label, leaves }: { label: string; leaves: readonly (readonly [string, string, ...unknown[]])[] }) {
    return (
        <Tabs.List aria-label={label} className="mb-4 flex flex-wrap gap-x-5 gap-y-1 border-b border-ink print:hidden">
            {leaves.map(([value, words]) => (
                <Tabs.Trigger
                    key={value}
                    value={value}
                    className="-mb-px min-h-9 border-b-[3px] border-transparent font-semibold text-pen data-[state=active]:border-pen data-[state=active]:text-ink"
                >
                    {words}
                </Tabs.Trigger>
            ))}
        </Tabs.List>
    );
}
