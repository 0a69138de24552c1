/** What was found in a text, in one line. */
export function FoundFigures({ finds, className = '' }: { finds: { label: string; says: string }[]; className?: string }) {
    if (finds.length === 0) return null;
    return (
        <p className={`text-sm ${className}`}>
            {finds.map((find, index) => (
                <span key={index} className="mr-3 inline-block">
                    <span className="text-pencil">{find.label}</span> <span className="figures">{find.says}</span>
                </span>
            ))}
        </p>
    );
}
