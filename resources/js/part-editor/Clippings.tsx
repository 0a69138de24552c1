import { date } from '../ui/format';
import { isGroup, plain, type Group } from './draft';

/** The texts that a part was described from, as they were pasted. */
export function Clippings({ spec }: { spec: Group }) {
    const link = plain(spec.link);
    const texts = Array.isArray(spec.clippings) ? spec.clippings.filter(isGroup) : [];
    // Only what leads to a page is a link.
    const isPage = /^https?:\/\//.test(link);
    if (texts.length === 0) return isPage ? <SeenAt link={link} /> : null;
    return (
        <section className="mb-5">
            {isPage && <SeenAt link={link} />}
            <h2 className="mb-1 border-b border-ink text-lg">Pasted</h2>
            {texts.map((one, index) => (
                <details key={index} className="mb-2" open={index === texts.length - 1}>
                    <summary className="cursor-pointer text-pencil">on {date(plain(one.on) === '' ? null : plain(one.on))}</summary>
                    <p className="dot-grid mt-1 max-h-60 overflow-auto border border-line p-3 text-sm break-words whitespace-pre-wrap">{plain(one.text)}</p>
                </details>
            ))}
        </section>
    );
}

function SeenAt({ link }: { link: string }) {
    return (
        <p className="mb-4 break-words">
            <span className="text-pencil">Seen at </span>
            <a className="text-pen underline" href={link} rel="noreferrer noopener" target="_blank">
                {link}
            </a>
        </p>
    );
}
