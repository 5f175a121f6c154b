import CssBaseline from '@mui/material/CssBaseline';
import GlobalStyles from '@mui/material/GlobalStyles';
import { StyledEngineProvider, ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { CounterScreen } from './counter/CounterScreen.tsx';
import { Desk } from './desk/Desk.tsx';
import { WithMishaps } from './desk/Mishap.tsx';
import { useTyping } from './desk/useTyping.ts';
import { BASE, isPractice } from './space.ts';
import { Uncovered } from './practice/Uncovered.tsx';
import { queryClient } from './state/queryClient.ts';
import { theme, TOKENS } from './theme.ts';

const DocketScreen = lazy(() =>
  import('./docket/DocketScreen.tsx').then((m) => ({ default: m.DocketScreen })),
);
const SheetScreen = lazy(() => import('./sheet/SheetScreen.tsx').then((m) => ({ default: m.SheetScreen })));
const TraceScreen = lazy(() => import('./trace/TraceScreen.tsx').then((m) => ({ default: m.TraceScreen })));
const SetupScreen = lazy(() => import('./setup/SetupScreen.tsx').then((m) => ({ default: m.SetupScreen })));
const ShelfScreen = lazy(() => import('./shelf/ShelfScreen.tsx').then((m) => ({ default: m.ShelfScreen })));
const LifeSize = lazy(() => import('./shelf/LifeSize.tsx').then((m) => ({ default: m.LifeSize })));
const Labels = lazy(() => import('./shelf/Labels.tsx').then((m) => ({ default: m.Labels })));

const CompareScreen = lazy(() =>
  import('./compare/CompareScreen.tsx').then((m) => ({ default: m.CompareScreen })),
);
const CustomerPage = lazy(() =>
  import('./compare/CustomerPage.tsx').then((m) => ({ default: m.CustomerPage })),
);

const OrdersScreen = lazy(() =>
  import('./orders/OrdersScreen.tsx').then((m) => ({ default: m.OrdersScreen })),
);
const ClaimScreen = lazy(() => import('./sheet/PartPaper.tsx').then((m) => ({ default: m.ClaimScreen })));
const ReturnScreen = lazy(() => import('./sheet/PartPaper.tsx').then((m) => ({ default: m.ReturnScreen })));
const LedgerScreen = lazy(() =>
  import('./ledger/LedgerScreen.tsx').then((m) => ({ default: m.LedgerScreen })),
);
const DevicesScreen = lazy(() =>
  import('./devices/DevicesScreen.tsx').then((m) => ({ default: m.DevicesScreen })),
);
const Practice = lazy(() =>
  import('./practice/PracticeScreens.tsx').then((m) => ({ default: m.PracticeScreens })),
);
const Glossary = lazy(() => import('./glossary/Glossary.tsx').then((m) => ({ default: m.Glossary })));
const QuoteScreen = lazy(() => import('./quote/QuoteScreen.tsx').then((m) => ({ default: m.QuoteScreen })));

const Lost = () => (
  <Desk>
    <div className="sheet">
      <h1>Nothing is kept here</h1>
      <p className="empty">This address leads nowhere. The name at the top goes to the counter.</p>
    </div>
  </Desk>
);

/** What is typed between two screens belongs to the one that comes: it is heard above them all. */
function Typing() {
  useTyping();
  return null;
}

export function App() {
  return (
    <StyledEngineProvider injectFirst>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <GlobalStyles styles={TOKENS} />
        <QueryClientProvider client={queryClient}>
          <BrowserRouter basename={BASE || '/'}>
            <Typing />
            <Suspense fallback={null}>
              <Glossary />
            </Suspense>
            <WithMishaps>
              <Suspense fallback={null}>
                <Routes>
                  <Route path="/" element={<CounterScreen />} />
                  <Route path="/docket/:id" element={<DocketScreen />} />
                  <Route
                    path="/docket/:id/sheet"
                    element={
                      <Uncovered untilTaken>
                        <SheetScreen />
                      </Uncovered>
                    }
                  />
                  <Route
                    path="/docket/:id/compare"
                    element={
                      <Uncovered>
                        <CompareScreen />
                      </Uncovered>
                    }
                  />
                  <Route
                    path="/docket/:id/ways"
                    element={
                      <Uncovered>
                        <CustomerPage />
                      </Uncovered>
                    }
                  />
                  <Route path="/docket/:id/quote" element={<QuoteScreen />} />
                  <Route path="/docket/:id/claim/:n" element={<ClaimScreen />} />
                  <Route path="/docket/:id/return/:n" element={<ReturnScreen />} />
                  <Route path="/devices" element={<DevicesScreen />} />
                  <Route path="/docket/:id/devices" element={<DevicesScreen />} />
                  <Route path="/ledger" element={<LedgerScreen />} />
                  <Route path="/orders" element={<OrdersScreen />} />
                  <Route path="/docket/:id/trace" element={<TraceScreen />} />
                  <Route path="/shelf" element={<ShelfScreen />} />
                  <Route path="/shelf/labels" element={<Labels />} />
                  <Route path="/shelf/print/:number" element={<LifeSize />} />
                  <Route path="/setup" element={<SetupScreen />} />
                  <Route path="/trace" element={<TraceScreen />} />
                  {isPractice && <Route path="/hall/*" element={<Practice />} />}
                  <Route path="*" element={<Lost />} />
                </Routes>
              </Suspense>
            </WithMishaps>
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </StyledEngineProvider>
  );
}
