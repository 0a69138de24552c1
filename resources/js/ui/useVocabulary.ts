import { useQuery } from '@tanstack/react-query';
import { api, type Vocabulary } from '../api/client';

/** The words that briefs, parts and readings share; asked once. */
export const useVocabulary = () => useQuery({ queryKey: ['vocabulary'], queryFn: () => api.get<Vocabulary>('/vocabulary'), staleTime: Infinity });
