import type { components } from './contract';

type Schemas = components['schemas'];
export type Build = Schemas['Build'];
export type BuildCard = Schemas['BuildCard'];
export type Brief = Schemas['Brief'];
export type Candidate = Schemas['Candidate'];
export type Comparison = Schemas['Comparison'];
export type Echo = Schemas['Echo'];
export type FacetField = Schemas['FacetField'];
export type Facets = Schemas['Facets'];
export type Finding = Schemas['Finding'];
export type FindingInFull = Schemas['FindingInFull'];
export type FoundRemedy = Schemas['FoundRemedy'];
export type Clipping = Schemas['Clipping'];
export type ClippingProposal = Schemas['ClippingProposal'];
export type GamesClass = Schemas['GamesClass'];
export type ImportPreview = Schemas['ImportPreview'];
export type Letter = Schemas['Letter'];
export type LibraryPart = Schemas['LibraryPart'];
export type Line = Schemas['Line'];
export type LinePart = Schemas['LinePart'];
export type OpenFigure = Schemas['OpenFigure'];
export type PartChange = Schemas['PartChange'];
export type PartPage = Schemas['PartPage'];
export type PartsMerge = Schemas['PartsMerge'];
export type PartsPreview = Schemas['PartsPreview'];
export type Role = Schemas['Role'];
export type Bench = Schemas['Bench'];
export type BandLine = Schemas['BandLine'];
export type BenchLine = Schemas['BenchLine'];
export type LogPreview = Schemas['LogPreview'];
export type PencilFigure = Schemas['PencilFigure'];
export type Power = Schemas['Power'];
export type PowerBand = Schemas['PowerBand'];
export type PowerNode = Schemas['PowerNode'];
export type PowerSource = Schemas['PowerSource'];
export type FieldProblem = Schemas['FieldProblem'];
export type Reading = Schemas['Reading'];
export type Vocabulary = Schemas['Vocabulary'];
export type ReadingEffect = Schemas['ReadingEffect'];
export type RuleBook = Schemas['RuleBook'];
export type RulePage = Schemas['RulePage'];
export type Session = Schemas['Session'];
export type GridCell = Schemas['GridCell'];
export type SheetColumn = Schemas['SheetColumn'];
export type SheetPreview = Schemas['SheetPreview'];
export type SheetRow = Schemas['SheetRow'];
export type Step = Schemas['Step'];
export type Sizing = Schemas['Sizing'];
export type Plan = Schemas['Plan'];
export type Fit = Schemas['Fit'];
export type FitBox = Schemas['FitBox'];
export type FitPiece = Schemas['FitPiece'];
export type FitTrouble = Schemas['FitTrouble'];
export type Arrangement = Schemas['Arrangement'];
export type ArrangeLine = Schemas['ArrangeLine'];
export type StlBox = Schemas['StlBox'];
export type Thinner = Schemas['Thinner'];
export type Fault = Schemas['Fault'];
export type WayBack = Schemas['WayBack'];
export type RecordEntry = Schemas['RecordEntry'];
export type StepEvent = Schemas['StepEventIn'];
export type Condition = Schemas['Condition'];
export type DrawerMatch = Schemas['DrawerMatch'];
export type DrawerPiece = Schemas['DrawerPiece'];
export type MoneyReport = Schemas['MoneyReport'];
export type Offer = Schemas['Offer'];
export type OfferRow = Schemas['OfferRow'];
export type Order = Schemas['Order'];
export type Orders = Schemas['Orders'];
export type SecondHand = Schemas['SecondHand'];
export type Shopping = Schemas['Shopping'];
export type Vendor = Schemas['Vendor'];
export type Verdict = Schemas['Verdict'];
export type Vitals = Schemas['Vitals'];
export type WeighedVitals = Schemas['WeighedVitals'];
type ProblemBody = Schemas['Problem'];

const sayProblem = ({ wrong, fix }: FieldProblem) => `${wrong}${fix === '' ? '' : `; ${fix}`}`;

/** What went wrong, in the words of the application; `code` tells pages what to do about it. */
export class Problem extends Error {
    constructor(
        readonly code: string,
        message: string,
        readonly fields: Record<string, string[]> = {},
        readonly problems: FieldProblem[] = [],
        readonly fresh: Build | null = null,
        /** The build that cannot be read, when it is one. */
        readonly build: string | null = null,
        /** Milliseconds after which the same may be asked again; null when asking again does no good. */
        readonly retryAfterMs: number | null = null,
    ) {
        super(message);
    }

    /** Each problem as a line: where, what is wrong, what would be right. */
    get lines(): string[] {
        return this.problems.map((one) => `${one.field === '' ? '' : `${one.field}: `}${sayProblem(one)}`);
    }

    /** The problem of a field of a file, by its path. */
    at(path: string): string | undefined {
        const found = this.problems.find((one) => one.field === path);
        return found === undefined ? undefined : sayProblem(found);
    }

    /** The first complaint about a field. */
    about(field: string): string | undefined {
        return this.fields[field]?.[0];
    }
}

const away = 'The application does not answer. What you typed is still here. See that it is running, then save once more.';

function crossSiteKey(): string {
    return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
}

const keyRanOut = 419;
const triesForAKey = 3;
let keyOnItsWay: Promise<unknown> | null = null;

/** A look at the session brings a new key; calls that need one at the same moment wait for the same look. */
function newKey(): Promise<unknown> {
    keyOnItsWay ??= fetch('/api/session', { credentials: 'same-origin' })
        .catch(() => undefined)
        .finally(() => {
            keyOnItsWay = null;
        });
    return keyOnItsWay;
}

async function send<T>(method: string, path: string, body?: unknown, tries = triesForAKey): Promise<T> {
    let response: Response;
    try {
        response = await fetch(`/api${path}`, {
            method,
            credentials: 'same-origin',
            headers: {
                Accept: 'application/json',
                ...(body === undefined ? {} : { 'Content-Type': body instanceof Blob ? 'application/octet-stream' : 'application/json' }),
                ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': crossSiteKey() }),
            },
            ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
        });
    } catch {
        throw new Problem('away', away);
    }
    if (response.status === keyRanOut && tries > 1) {
        // The page outlived its key, or another call changed it on the way; what was typed is sent once more.
        await newKey();
        return send<T>(method, path, body, tries - 1);
    }
    if (!response.ok) throw await problemOf(response);
    try {
        return (await response.json()) as T;
    } catch {
        throw new Problem('away', away);
    }
}

/** What a refused answer says. */
export async function problemOf(response: Response): Promise<Problem> {
    try {
        const said = (await response.json()) as ProblemBody;
        const seconds = response.headers.get('Retry-After');
        return new Problem(
            said.code,
            said.message,
            said.fields,
            said.problems,
            said.fresh ?? null,
            said.build ?? null,
            seconds === null ? null : 1000 * Number(seconds),
        );
    } catch {
        return new Problem('away', away);
    }
}

const mostReads = 4;

/** What is only read is asked for again while a server says that it will be back in a moment; what is written is left to the builder. */
export const readingAgain = {
    retry: (failures: number, error: Error) => error instanceof Problem && error.retryAfterMs !== null && failures < mostReads,
    retryDelay: (_failures: number, error: Error) => (error instanceof Problem ? error.retryAfterMs : null) ?? 0,
};

export const api = {
    get: <T>(path: string) => send<T>('GET', path),
    post: <T>(path: string, body: unknown = {}) => send<T>('POST', path, body),
    put: <T>(path: string, body: unknown) => send<T>('PUT', path, body),
    patch: <T>(path: string, body: unknown) => send<T>('PATCH', path, body),
    remove: <T>(path: string, body: unknown = {}) => send<T>('DELETE', path, body),
    /** A file as it is. */
    upload: <T>(path: string, file: Blob) => send<T>('POST', path, file),
};
