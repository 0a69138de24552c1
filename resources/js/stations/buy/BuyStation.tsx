import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { LeafTabs } from '../../ui/LeafTabs';
import { LinesLeaf } from './LinesLeaf';
import { MoneyLeaf } from './MoneyLeaf';
import { OrdersLeaf } from './OrdersLeaf';
import { ShoppingLeaf } from './ShoppingLeaf';
import { ShopLeaf } from './ShopLeaf';
import { VendorsLeaf } from './VendorsLeaf';

const leaves = [
    ['list', 'What to buy', ShoppingLeaf],
    ['orders', 'Orders and parcels', OrdersLeaf],
    ['money', 'Money', MoneyLeaf],
    ['lines', 'Line by line', LinesLeaf],
    ['vendors', 'Vendors', VendorsLeaf],
    ['shop', 'In a shop', ShopLeaf],
] as const;

/** Everything about getting the parts: what to buy where, what is on its way, what it comes to. */
export default function BuyStation() {
    const [asked, setAsked] = useSearchParams();
    const leaf = asked.get('leaf') ?? 'list';
    return (
        <main className="px-4 sm:px-6">
            <h2 className="mb-2 text-xl print:hidden">Buy</h2>
            <Tabs.Root value={leaf} onValueChange={(value) => setAsked(value === 'list' ? {} : { leaf: value }, { replace: true })}>
                <LeafTabs label="Leaves of Buy" leaves={leaves} />
                {leaves.map(([value, , Leaf]) => (
                    <Tabs.Content key={value} value={value} tabIndex={-1}>
                        <Leaf />
                    </Tabs.Content>
                ))}
            </Tabs.Root>
        </main>
    );
}
