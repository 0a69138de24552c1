import { Problem, problemOf } from './client';

/** Reads an answer that comes piece by piece, one JSON document a line. */
export async function readLines<T>(path: string, tell: (line: T) => void, signal: AbortSignal): Promise<void> {
    const response = await fetch(`/api${path}`, { credentials: 'same-origin', headers: { Accept: 'application/json' }, signal });
    if (!response.ok && response.status < 500) throw await problemOf(response);
    if (!response.ok || response.body === null) {
        throw new Problem('broken', response.ok ? 'The answer was empty. Try once more.' : 'The application could not answer. Try once more.');
    }
    const reader = response.body.getReader();
    const decoder = new TextDecoder();
    let rest = '';
    for (;;) {
        const { done, value } = await reader.read();
        rest += decoder.decode(value, { stream: !done });
        const lines = rest.split('\n');
        rest = lines.pop() ?? '';
        for (const line of lines) {
            if (line.trim() !== '') tell(JSON.parse(line) as T);
        }
        if (done) return;
    }
}
