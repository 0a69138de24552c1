import { useId, useState } from 'react';
import { type Problem, api, type Echo, type FacetField } from '../api/client';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { Select } from '../ui/Select';
import { emptyGroup, figureText, isGroup, plain, type Group, type Raw, type TypedFigure } from './draft';

const sources = [
    ['datasheet', 'datasheet'],
    ['measured', 'measured'],
    ['listing', 'listing'],
    ['file', 'drawing'],
    ['guess', 'guess'],
] as const;

interface Props {
    field: FacetField;
    value: Raw | undefined;
    path: string;
    problem: Problem | null;
    change: (value: Raw) => void;
}

/** One field of a facet, by its kind. */
export function FieldInput(props: Props) {
    const { field } = props;
    if (field.isFigure) return <FigureInput {...props} />;
    if (field.kind === 'many') return <ManyInput {...props} />;
    return <PlainInput {...props} />;
}

/** A figure typed as people write it. Says what was understood as soon as the field is left. */
function FigureInput({ field, value, path, problem, change }: Props) {
    const id = useId();
    const stored: TypedFigure =
        isGroup(value) && typeof value.typed === 'string'
            ? { typed: value.typed, source: plain(value.source), on: typeof value.on === 'string' ? value.on : '' }
            : figureText(value, field.kind);
    const measured = isGroup(value) && value.measured !== undefined ? value.measured : null;
    const [echo, setEcho] = useState<Echo | null>(null);
    const set = (now: Partial<TypedFigure>) => change({ ...stored, ...now, ...(measured === null ? {} : { measured }) });
    const ask = () => {
        if (stored.typed.trim() === '') setEcho(null);
        else void api.post<Echo>('/typed', { text: stored.typed, unit: field.kind }).then(setEcho, () => undefined);
    };
    // What was understood last counts for more than what an earlier save complained of.
    const said = echo === null ? (problem?.at(path) ?? null) : echo.problem;
    return (
        <div className="mb-2">
            <label htmlFor={id} className="text-sm font-semibold">
                {field.label}
            </label>
            <div className="flex flex-wrap items-center gap-1">
                <input
                    id={id}
                    className={`${inputLook} figures min-w-28 flex-1 ${said === null ? '' : 'border-2 border-clash!'}`}
                    value={stored.typed}
                    placeholder={`unknown, ${field.kind === 'share' ? '%' : field.kind === 'mm±' ? 'mm' : field.kind}`}
                    aria-invalid={said !== null}
                    aria-describedby={`${id}-said`}
                    onChange={(event) => set({ typed: event.target.value })}
                    onBlur={ask}
                />
                <Select
                    label={`Source of ${field.label}`}
                    value={stored.source}
                    options={sources.some(([one]) => one === stored.source) ? sources : [...sources, [stored.source, stored.source] as const]}
                    onChange={(event) => set({ source: event.target.value })}
                />
                <input
                    type="date"
                    className="min-h-9 rounded-sm border border-line bg-leaf px-1 text-ink"
                    aria-label={`Day of ${field.label}`}
                    value={stored.on}
                    onChange={(event) => set({ on: event.target.value })}
                />
            </div>
            <p id={`${id}-said`} className={`min-h-5 text-sm ${said === null ? 'text-pencil' : 'text-clash'}`} aria-live="polite">
                {said ?? (echo === null || echo.says === null ? '' : `understood: ${echo.says}`)}
                {measured !== null && said === null && ' · measured for this build, which counts'}
            </p>
        </div>
    );
}

const lines = (value: Raw | undefined, join: (key: string, one: Raw) => string): string =>
    isGroup(value)
        ? Object.entries(value)
              .map(([key, one]) => join(key, one))
              .join('\n')
        : '';

function pairs(text: string): [string, string][] {
    return text
        .split('\n')
        .map((line) => line.split(':'))
        .filter(([key]) => (key ?? '').trim() !== '')
        .map(([key = '', ...rest]) => [key.trim(), rest.join(':').trim()]);
}

/** Text that is edited freely and turned into a value when the field is left. */
function FreeText({
    id,
    label,
    stored,
    hint,
    rows,
    read,
}: {
    id: string;
    label: string;
    stored: string;
    hint: string;
    rows: number;
    read: (text: string) => void;
}) {
    const [text, setText] = useState<string | null>(null);
    return (
        <div className="mb-2">
            <label htmlFor={id} className="text-sm font-semibold">
                {label}
            </label>
            <textarea
                id={id}
                rows={rows}
                className={inputLook}
                value={text ?? stored}
                placeholder={hint}
                onChange={(event) => setText(event.target.value)}
                onBlur={() => {
                    if (text === null) return;
                    read(text);
                    setText(null);
                }}
            />
        </div>
    );
}

function PlainInput({ field, value, path, problem, change }: Props) {
    const id = useId();
    const said = problem?.at(path);
    const body = () => {
        switch (field.kind) {
            case 'flag':
                return (
                    <label className="flex min-h-9 items-center gap-2">
                        <input type="checkbox" className="size-5 accent-pen" checked={value === true} onChange={(event) => change(event.target.checked)} />{' '}
                        {field.label}
                    </label>
                );
            case 'yes-no':
            case 'choice': {
                const options = field.kind === 'yes-no' ? ['unknown', 'yes', 'no'] : field.choices;
                const now = typeof value === 'string' ? value : '';
                const all = options.includes(now) ? options : ['', ...options];
                return (
                    <Labelled id={id} label={field.label}>
                        <Select
                            id={id}
                            label={field.label}
                            className="w-full border-edge!"
                            value={now}
                            options={[...new Set(all)].map((one) => [one, one === '' ? 'not said' : one] as const)}
                            onChange={(event) => change(event.target.value)}
                        />
                    </Labelled>
                );
            }
            case 'int':
                return (
                    <Labelled id={id} label={field.label}>
                        <input
                            id={id}
                            className={`${inputLook} figures`}
                            inputMode="numeric"
                            value={typeof value === 'number' ? String(value) : ''}
                            onChange={(event) => change(event.target.value.replace(/\D/g, '') === '' ? null : Number(event.target.value.replace(/\D/g, '')))}
                        />
                    </Labelled>
                );
            case 'words':
                return (
                    <FreeText
                        id={id}
                        label={field.label}
                        rows={1}
                        hint={field.choices.slice(0, 4).join(', ') || 'one, another'}
                        stored={Array.isArray(value) ? value.map(plain).join(', ') : ''}
                        read={(text) =>
                            change(
                                text
                                    .split(',')
                                    .map((one) => one.trim())
                                    .filter((one) => one !== ''),
                            )
                        }
                    />
                );
            case 'modes':
                return (
                    <FreeText
                        id={id}
                        label={field.label}
                        rows={1}
                        hint="640x480, 1280x720 50"
                        stored={
                            Array.isArray(value)
                                ? value
                                      .filter(isGroup)
                                      .map(
                                          (one) =>
                                              `${plain(one.widthPx)}x${plain(one.heightPx)}${one.hz === undefined || one.hz === 60 ? '' : ` ${plain(one.hz)}`}`,
                                      )
                                      .join(', ')
                                : ''
                        }
                        read={(text) =>
                            change(
                                [...text.matchAll(/(\d+)\s*[x×]\s*(\d+)(?:\D+?(\d+))?(?=\s*(?:,|$))/g)].map((found) => ({
                                    widthPx: Number(found[1]),
                                    heightPx: Number(found[2]),
                                    hz: Number(found[3] ?? 60),
                                })),
                            )
                        }
                    />
                );
            case 'counts':
                return (
                    <FreeText
                        id={id}
                        label={field.label}
                        rows={3}
                        hint={'gpio: 8\nspi: 3'}
                        stored={lines(value, (key, one) => `${key}: ${plain(one)}`)}
                        read={(text) => change(Object.fromEntries(pairs(text).map(([key, one]) => [key, Number(one.replace(/\D/g, '') || '0')])))}
                    />
                );
            case 'lists':
                return (
                    <FreeText
                        id={id}
                        label={field.label}
                        rows={6}
                        hint={'P2: gpio, i2c\nP3: gpio'}
                        stored={lines(value, (key, one) => `${key}: ${Array.isArray(one) ? one.map(plain).join(', ') : ''}`)}
                        read={(text) =>
                            change(
                                Object.fromEntries(
                                    pairs(text).map(([key, one]) => [
                                        key,
                                        one
                                            .split(',')
                                            .map((word) => word.trim())
                                            .filter((word) => word !== ''),
                                    ]),
                                ),
                            )
                        }
                    />
                );
            case 'texts':
                return (
                    <FreeText
                        id={id}
                        label={field.label}
                        rows={2}
                        hint="display.lens: bare"
                        stored={lines(value, (key, one) => `${key}: ${plain(one)}`)}
                        read={(text) => change(Object.fromEntries(pairs(text)))}
                    />
                );
            default:
                return (
                    <Labelled id={id} label={field.label}>
                        <input
                            id={id}
                            className={inputLook}
                            list={field.kind === 'connector' ? 'connectors' : undefined}
                            value={typeof value === 'string' ? value : ''}
                            onChange={(event) => change(event.target.value)}
                        />
                    </Labelled>
                );
        }
    };
    return (
        <div>
            {body()}
            {said !== undefined && (
                <p role="alert" className="text-sm text-clash">
                    {said}
                </p>
            )}
        </div>
    );
}

function Labelled({ id, label, children }: { id: string; label: string; children: React.ReactNode }) {
    return (
        <div className="mb-2">
            <label htmlFor={id} className="block text-sm font-semibold">
                {label}
            </label>
            {children}
        </div>
    );
}

/** Several groups of the same fields, such as the openings of a body. */
function ManyInput({ field, value, path, problem, change }: Props) {
    const groups = Array.isArray(value) ? value.filter(isGroup) : [];
    return <Groups label={field.label} fields={field.fields} groups={groups} path={path} problem={problem} change={change} />;
}

export function Groups({
    label,
    fields,
    groups,
    path,
    problem,
    change,
}: {
    label: string;
    fields: FacetField[];
    groups: Group[];
    path: string;
    problem: Problem | null;
    change: (groups: Group[]) => void;
}) {
    return (
        <fieldset className="mb-3">
            <legend className="text-sm font-semibold">{label}</legend>
            {groups.map((group, index) => (
                <div key={index} className="mb-2 border-l-4 border-line pl-3">
                    <FieldGrid
                        fields={fields}
                        group={group}
                        path={`${path}/${index}`}
                        problem={problem}
                        change={(now) => change(groups.map((one, at) => (at === index ? now : one)))}
                    />
                    <Button look="bare" className="px-0!" onClick={() => change(groups.filter((_, at) => at !== index))}>
                        Take this one out
                    </Button>
                </div>
            ))}
            <Button onClick={() => change([...groups, emptyGroup()])}>Add one</Button>
        </fieldset>
    );
}

export function FieldGrid({
    fields,
    group,
    path,
    problem,
    change,
}: {
    fields: FacetField[];
    group: Group;
    path: string;
    problem: Problem | null;
    change: (group: Group) => void;
}) {
    return (
        <div className="grid gap-x-5 sm:grid-cols-2">
            {fields.map((field) => (
                <FieldInput
                    key={field.field}
                    field={field}
                    value={group[field.field]}
                    path={`${path}/${field.field}`}
                    problem={problem}
                    change={(now) => change({ ...group, [field.field]: now })}
                />
            ))}
        </div>
    );
}
