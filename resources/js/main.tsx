import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, Suspense, lazy } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import '../css/app.css';
import { Mailbox } from './doors/Mailbox';
import { AskForPassword, NewPassword, Register, SignIn } from './doors/Doors';
import { InWorkshop } from './doors/InWorkshop';
import { Sheet } from './sheet/Sheet';
import { Shelf } from './shelf/Shelf';
import { NoticeBoard } from './ui/Notices';

const PartsStation = lazy(() => import('./stations/parts/PartsStation'));
const BriefStation = lazy(() => import('./stations/brief/BriefStation'));
const BuyStation = lazy(() => import('./stations/buy/BuyStation'));
const BuildStation = lazy(() => import('./stations/build/BuildStation'));

const cache = new QueryClient({ defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false } } });
const place = document.getElementById('page');
if (place === null) throw new Error('the page has no place for the interface');

createRoot(place).render(
    <StrictMode>
        <QueryClientProvider client={cache}>
            <NoticeBoard>
                <BrowserRouter>
                    <Suspense fallback={null}>
                        <Routes>
                            <Route path="/sign-in" element={<SignIn />} />
                            <Route path="/register" element={<Register />} />
                            <Route path="/forgot-password" element={<AskForPassword />} />
                            <Route path="/new-password" element={<NewPassword />} />
                            <Route path="/mailbox" element={<Mailbox />} />
                            <Route element={<InWorkshop />}>
                                <Route path="/" element={<Shelf />} />
                                <Route path="/builds/:id" element={<Sheet />}>
                                    <Route index element={<Navigate to="parts" replace />} />
                                    <Route path="brief" element={<BriefStation />} />
                                    <Route path="parts" element={<PartsStation />} />
                                    <Route path="buy" element={<BuyStation />} />
                                    <Route path="build" element={<BuildStation />} />
                                </Route>
                            </Route>
                            <Route path="*" element={<Navigate to="/" replace />} />
                        </Routes>
                    </Suspense>
                </BrowserRouter>
            </NoticeBoard>
        </QueryClientProvider>
    </StrictMode>,
);
