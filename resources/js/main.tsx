import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, Suspense, lazy } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import '../css/app.css';
import { readingAgain } from './api/client';
import { Mailbox } from './sign-in/Mailbox';
import { AskForPassword, NewPassword, OpenAccount, Register, SignIn } from './sign-in/SignInPages';
import { SignedIn } from './sign-in/SignedIn';
import { BuildFrame } from './frame/BuildFrame';
import { BuildList } from './builds/BuildList';
import { NoticeBoard } from './ui/Notices';
import { PageTrouble } from './ui/PageTrouble';

const PartsStation = lazy(() => import('./stations/parts/PartsStation'));
const BriefStation = lazy(() => import('./stations/brief/BriefStation'));
const BuyStation = lazy(() => import('./stations/buy/BuyStation'));
const BuildStation = lazy(() => import('./stations/build/BuildStation'));
const PowerStation = lazy(() => import('./stations/power/PowerStation'));
const FitStation = lazy(() => import('./stations/fit/FitStation'));
const BenchStation = lazy(() => import('./stations/bench/BenchStation'));
const ChecksStation = lazy(() => import('./stations/checks/ChecksStation'));
const OwnCopy = lazy(() => import('./stations/parts/OwnCopy'));
const Account = lazy(() => import('./sign-in/Account'));
const Library = lazy(() => import('./library/Library'));
const Drawer = lazy(() => import('./drawer/Drawer'));
const PartPage = lazy(() => import('./library/PartPage'));
const EditPart = lazy(() => import('./library/EditPart'));
const Compare = lazy(() => import('./library/Compare'));
const Rules = lazy(() => import('./rules/Rules'));
const RulePage = lazy(() => import('./rules/Rules').then((module) => ({ default: module.RulePage })));

const cache = new QueryClient({ defaultOptions: { queries: { ...readingAgain, refetchOnWindowFocus: false } } });
const place = document.getElementById('page');
if (place === null) throw new Error('the page has no place for the interface');

createRoot(place).render(
    <StrictMode>
        <QueryClientProvider client={cache}>
            <NoticeBoard>
                <BrowserRouter>
                    <PageTrouble>
                        <Suspense fallback={null}>
                            <Routes>
                                <Route path="/sign-in" element={<SignIn />} />
                                <Route path="/register" element={<Register />} />
                                <Route path="/open-account" element={<OpenAccount />} />
                                <Route path="/forgot-password" element={<AskForPassword />} />
                                <Route path="/new-password" element={<NewPassword />} />
                                <Route path="/mailbox" element={<Mailbox />} />
                                <Route element={<SignedIn />}>
                                    <Route path="/" element={<BuildList />} />
                                    <Route path="/account" element={<Account />} />
                                    <Route path="/library" element={<Library />} />
                                    <Route path="/library/new" element={<EditPart />} />
                                    <Route path="/library/:part" element={<PartPage />} />
                                    <Route path="/library/:part/edit" element={<EditPart />} />
                                    <Route path="/drawer" element={<Drawer />} />
                                    <Route path="/compare" element={<Compare />} />
                                    <Route path="/rules" element={<Rules />} />
                                    <Route path="/rules/:rule" element={<RulePage />} />
                                    <Route path="/builds/:id" element={<BuildFrame />}>
                                        <Route index element={<Navigate to="parts" replace />} />
                                        <Route path="brief" element={<BriefStation />} />
                                        <Route path="parts" element={<PartsStation />} />
                                        <Route path="power" element={<PowerStation />} />
                                        <Route path="fit" element={<FitStation />} />
                                        <Route path="bench" element={<BenchStation />} />
                                        <Route path="checks" element={<ChecksStation />} />
                                        <Route path="lines/:line/part" element={<OwnCopy />} />
                                        <Route path="buy" element={<BuyStation />} />
                                        <Route path="build" element={<BuildStation />} />
                                    </Route>
                                </Route>
                                <Route path="*" element={<Navigate to="/" replace />} />
                            </Routes>
                        </Suspense>
                    </PageTrouble>
                </BrowserRouter>
            </NoticeBoard>
        </QueryClientProvider>
    </StrictMode>,
);
