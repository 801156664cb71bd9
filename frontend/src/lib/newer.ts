// Whether the server was given a newer version than the page that runs here: then the whole page is fetched anew when the
// next place is opened. What is typed lies in the browser by then, and comes back.
const HEADER = "x-verglas-page";
const TRIED = "verglas.tried";

let newest: string | null = null;

/** The script that runs here, as the page names it; null where none was built. */
const running = (): string | null =>
  document.querySelector('script[type="module"][src^="/assets/"]')?.getAttribute("src") ?? null;

/** What an answer says of the page that the server has now. */
export function noteVersion({ headers }: Response) {
  newest = headers.get(HEADER) ?? newest;
}

/** Once for each newer version: a page that something on the way keeps old is left alone then. */
export function renewIfNewer(reload: () => void = () => window.location.reload()) {
  const here = running();
  if (here === null || newest === null || newest === here || sessionStorage.getItem(TRIED) === newest) return;
  sessionStorage.setItem(TRIED, newest);
  reload();
}
