import { Peg } from './Peg';

/** The product's name with its mark, at the head of every page that belongs to no build. */
export function BrandMark({ className = '' }: { className?: string }) {
    return (
        <p className={`font-head flex items-center gap-2 text-lg font-semibold text-pen ${className}`}>
            <span aria-hidden="true" className="inline-flex">
                <Peg verdict="fits" size={22} />
            </span>
            Pocket Plot
        </p>
    );
}
