import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Role, type Shopping } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

/** The conditions under which the shopping is planned. */
export interface Conditions {
    needBy: string;
    avoid: readonly string[];
    prefer: string;
    preferUpTo: string;
    used: boolean;
    onlyNew: readonly Role[];
    mostParcels: string;
    choose: boolean;
    spares: Readonly<Record<string, number>>;
}

const none: Conditions = { needBy: '', avoid: [], prefer: '', preferUpTo: '2', used: true, onlyNew: [], mostParcels: '', choose: false, spares: {} };

export function conditionsQuery({ needBy, avoid, prefer, preferUpTo, used, onlyNew, mostParcels, choose, spares }: Conditions): string {
    const query = new URLSearchParams();
    if (needBy !== '') query.set('needBy', needBy);
    if (!used) query.set('used', '0');
    if (/^[1-9]\d?$/.test(mostParcels)) query.set('mostParcels', mostParcels);
    if (choose) query.set('choose', '1');
    if (prefer !== '' && /^\d{1,6}([.,]\d{1,2})?$/.test(preferUpTo)) {
        query.append('prefer[]', prefer);
        query.set('preferUpTo', preferUpTo);
    }
    avoid.forEach((name) => query.append('avoid[]', name));
    onlyNew.forEach((role) => query.append('onlyNew[]', role));
    Object.entries(spares).forEach(([line, count]) => count > 0 && query.set(`spares[${line}]`, String(count)));
    return query.toString();
}

/** The shopping of the open build under conditions that can be changed. */
export function useShopping() {
    const { build } = useOpenBuild();
    const cache = useQueryClient();
    const [conditions, setConditions] = useState(none);
    const query = conditionsQuery(conditions);
    const shopping = useQuery({
        queryKey: ['shopping', build.id, build.version, query],
        queryFn: () => api.get<Shopping>(`/builds/${build.id}/shopping${query === '' ? '' : `?${query}`}`),
        placeholderData: (before) => before,
    });
    return {
        conditions,
        query,
        shopping,
        change: (more: Partial<Conditions>) => setConditions({ ...conditions, ...more }),
        again: () => cache.invalidateQueries({ queryKey: ['shopping'] }),
    };
}
