import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import { StrictMode, startTransition } from "react";
import { createRoot } from "react-dom/client";
import { App, makeQueryClient } from "./app/App";
import { fetchPlace } from "./app/places";

const root = document.getElementById("root");
if (!root) throw new Error("index.html has no #root");
const queryClient = makeQueryClient();
// In short pieces: a touch meanwhile is heard.
const show = () =>
  startTransition(() =>
    createRoot(root).render(
      <StrictMode>
        <App queryClient={queryClient} />
      </StrictMode>,
    ),
  );
// What cannot be fetched now is asked for again where it is shown.
void fetchPlace(window.location.pathname, queryClient)
  .then(show, show)
  .then(() => import("./ui/scripts"));
