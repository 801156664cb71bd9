// @vitest-environment jsdom
import { beforeEach, expect, test, vi } from "vitest";
import { noteVersion, renewIfNewer } from "./newer";

const answer = (page: string) => new Response("", { headers: { "x-verglas-page": page } });

beforeEach(() => {
  sessionStorage.clear();
  document.head.innerHTML = '<script type="module" src="/assets/index-old.js"></script>';
});

test("the page is fetched anew once where the server has a newer one", () => {
  const reload = vi.fn();
  noteVersion(answer("/assets/index-old.js"));
  renewIfNewer(reload);
  expect(reload).not.toHaveBeenCalled();
  noteVersion(answer("/assets/index-new.js"));
  renewIfNewer(reload);
  renewIfNewer(reload);
  expect(reload).toHaveBeenCalledTimes(1);
  noteVersion(new Response(""));
  noteVersion(answer("/assets/index-newer.js"));
  renewIfNewer(reload);
  expect(reload).toHaveBeenCalledTimes(2);
});

test("a page that was not built is left alone", () => {
  document.head.innerHTML = '<script type="module" src="/src/main.tsx"></script>';
  const reload = vi.fn();
  noteVersion(answer("/assets/index-new.js"));
  renewIfNewer(reload);
  expect(reload).not.toHaveBeenCalled();
});
