// Providers and addresses. Every place has one that can be reloaded; none holds a name or a reading.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { Suspense } from "react";
import { I18nProvider, RouterProvider } from "react-aria-components";
import { BrowserRouter, Route, Routes, useHref, useNavigate } from "react-router";
import { Refused } from "../api/client";
import { FloorPage } from "../features/floor/FloorPage";
import { GlobalStyle } from "../ui/GlobalStyle";
import { NotFoundPage } from "./NotFoundPage";
import { DOORS, PLACES } from "./places";
import { Shell } from "./Shell";

/** What was fetched for the first picture is not fetched again by it. */
const FRESH_MS = 2000;

export const makeQueryClient = () =>
  new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: FRESH_MS,
        retry: (count, thrown) => (thrown instanceof Refused && thrown.status > 0 ? false : count < 3),
      },
    },
  });

export function App({ queryClient }: { queryClient: QueryClient }) {
  return (
    <QueryClientProvider client={queryClient}>
      <I18nProvider locale="en-GB">
        <GlobalStyle />
        <BrowserRouter>
          <Places />
        </BrowserRouter>
      </I18nProvider>
    </QueryClientProvider>
  );
}

function Places() {
  const navigate = useNavigate();
  return (
    <RouterProvider navigate={(to) => void navigate(to)} useHref={useHref}>
      <Routes>
        {DOORS.map(([path, Page]) => (
          <Route
            key={path}
            path={path}
            element={
              <Suspense fallback={null}>
                <Page />
              </Suspense>
            }
          />
        ))}
        <Route element={<Shell />}>
          <Route index element={<FloorPage />} />
          {PLACES.map(([path, Page]) => (
            <Route key={path} path={path} element={<Page />} />
          ))}
          <Route path="*" element={<NotFoundPage />} />
        </Route>
      </Routes>
    </RouterProvider>
  );
}
