import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./app/App";
import { fetchPlace } from "./app/places";

const root = document.getElementById("root");
if (!root) throw new Error("index.html has no #root");
const show = () =>
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
// What cannot be fetched now is asked for again where it is shown.
void fetchPlace(window.location.pathname)
  .then(show, show)
  .then(() => import("./ui/scripts"));
