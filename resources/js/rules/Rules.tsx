import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { api, type RuleBook, type RulePage as RuleAnswer } from '../api/client';
import { BackTo, PageFrame } from '../ui/PageFrame';
import { capital } from '../ui/format';

/** The rule book, family by family. */
export default function Rules() {
    const book = useQuery({ queryKey: ['rules'], queryFn: () => api.get<RuleBook>('/rules'), staleTime: Infinity });
    useEffect(() => {
        document.title = 'Rules · Pocket Plot';
    }, []);
    const families = [...new Set(book.data?.rules.map((rule) => rule.family))];
    return (
        <PageFrame title="Rules" says={book.data === undefined ? '…' : `${book.data.rules.length} things that are checked in every build`}>
            {book.isError && <p role="alert">{book.error.message}</p>}
            <div className="columns-1 gap-8 md:columns-2">
                {families.map((family) => (
                    <section key={family} className="mb-5 break-inside-avoid-page">
                        <h2 className="mb-1 border-b border-ink text-xl">{capital(family)}</h2>
                        <ul>
                            {book.data?.rules
                                .filter((rule) => rule.family === family)
                                .map((rule) => (
                                    <li key={rule.id} className="border-b border-dotted border-line py-1">
                                        <Link className="figures text-sm font-semibold text-pen hover:underline" to={`/rules/${rule.id}`}>
                                            {rule.id}
                                        </Link>
                                        <span className="block text-[0.95rem]">{rule.sentence}</span>
                                    </li>
                                ))}
                        </ul>
                    </section>
                ))}
            </div>
        </PageFrame>
    );
}

/** One rule explained: what, why, the working, how to measure, what mends it. */
export function RulePage() {
    const { rule: id = '' } = useParams();
    const rule = useQuery({ queryKey: ['rule', id], queryFn: () => api.get<RuleAnswer>(`/rules/${id}`), staleTime: Infinity });
    const page = rule.data?.page;
    useEffect(() => {
        if (page !== undefined) document.title = `${page.title} · Pocket Plot`;
    }, [page]);
    return (
        <PageFrame title={page?.title ?? (rule.isError ? 'There is no such rule' : '…')} says={<code className="figures">{id}</code>}>
            <BackTo to="/rules">All rules</BackTo>
            {page?.sections.map((section) => (
                <section key={section.heading} className="mb-4 max-w-prose">
                    <h2 className="mb-1 text-xl">{section.heading}</h2>
                    {section.paragraphs.map((paragraph) => (
                        <p key={paragraph} className="mb-2">
                            {paragraph}
                        </p>
                    ))}
                </section>
            ))}
        </PageFrame>
    );
}
