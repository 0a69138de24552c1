import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { LeafTabs } from '../../ui/LeafTabs';
import { ArrangeLeaf } from './ArrangeLeaf';
import { BodyLeaf } from './BodyLeaf';
import { PlacesLeaf } from './PlacesLeaf';
import { ThicknessLeaf } from './ThicknessLeaf';
import { useArrange } from './useArrange';
import { useFit, useTell } from './useFit';
import { NothingToLay } from './NothingToLay';

const leaves = [
    ['places', 'Places', PlacesLeaf],
    ['arrange', 'Arrange', ArrangeLeaf],
    ['thickness', 'Thickness', ThicknessLeaf],
    ['body', 'Body', BodyLeaf],
] as const;

/** The dry fit: where the parts lie, arranged by hand or by the machine, how thick that is, and the body to print. */
export default function FitStation() {
    const [asked, setAsked] = useSearchParams();
    const leaf = asked.get('leaf') ?? 'places';
    const { data: fit, isError, error } = useFit();
    const telling = useTell();
    // Goes on while another leaf is looked at.
    const arranging = useArrange();
    return (
        <main className="px-4 sm:px-6">
            <h2 className="mb-2 text-xl">Fit</h2>
            <Tabs.Root value={leaf} onValueChange={(value) => setAsked(value === 'places' ? {} : { leaf: value }, { replace: true })}>
                <LeafTabs label="Leaves of Fit" leaves={leaves} />
                {isError && <p role="alert">{error.message}</p>}
                {telling.complaint !== null && telling.complaint.code === 'bad-input' && (
                    <p role="alert" className="mb-2 text-clash">
                        {Object.values(telling.complaint.fields)[0]?.[0] ?? telling.complaint.message}
                    </p>
                )}
                {fit === undefined && !isError && <p className="text-pencil">Laying out the parts …</p>}
                {fit !== undefined && (fit.room === null || fit.pieces.length === 0) && <NothingToLay fit={fit} />}
                {fit !== undefined &&
                    fit.room !== null &&
                    fit.pieces.length > 0 &&
                    leaves.map(([value, , Leaf]) => (
                        <Tabs.Content key={value} value={value} tabIndex={-1}>
                            <Leaf fit={fit} telling={telling} arranging={arranging} />
                        </Tabs.Content>
                    ))}
            </Tabs.Root>
        </main>
    );
}
