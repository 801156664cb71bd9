// Every place by its address. Each is a file of its own, fetched when it is first opened or when there is nothing else to do.
import type { QueryClient } from "@tanstack/react-query";
import { matchPath } from "react-router";
import {
  clientQuery,
  equipmentQuery,
  floorQuery,
  machinesQuery,
  meQuery,
  platesQuery,
  bandsQuery,
  predictionsQuery,
  refitsQuery,
} from "../api/queries";
import { type Page, page } from "./lazyPage";

const SignInPage = page(() => import("../features/sign-in/SignInPage").then(({ SignInPage }) => SignInPage));

const WelcomePage = page(() => import("../features/sign-in/WelcomePage").then(({ WelcomePage }) => WelcomePage));
const ForgottenPage = page(() =>
  import("../features/sign-in/ForgottenPage").then(({ ForgottenPage }) => ForgottenPage),
);
const BeginPage = page(() => import("../features/sign-in/BeginPage").then(({ BeginPage }) => BeginPage));
const OwnCardPage = page(() => import("../features/own-card/OwnCardPage").then(({ OwnCardPage }) => OwnCardPage));
const PhonePage = page(() => import("../features/phone/PhonePage").then(({ PhonePage }) => PhonePage));
/** Those that nobody has to be signed in for. */
export const DOORS: readonly (readonly [path: string, Page])[] = [
  ["/sign-in", SignInPage],
  ["/forgotten", ForgottenPage],
  ["/welcome", WelcomePage],
  ["/begin", BeginPage],
  ["/mine", OwnCardPage],
  ["/phone", PhonePage],
];

export const PLACES: readonly (readonly [path: string, Page])[] = [
  ["clients", page(() => import("../features/clients/ClientsPage").then(({ ClientsPage }) => ClientsPage))],
  ["clients/new", page(() => import("../features/clients/NewClientPage").then(({ NewClientPage }) => NewClientPage))],
  ["clients/:id", page(() => import("../features/clients/ClientPage").then(({ ClientPage }) => ClientPage))],
  [
    "clients/:id/details",
    page(() => import("../features/clients/EditClientPage").then(({ EditClientPage }) => EditClientPage)),
  ],
  ["clients/:id/join", page(() => import("../features/clients/JoinPage").then(({ JoinPage }) => JoinPage))],
  [
    "clients/:id/history/:machine",
    page(() => import("../features/clients/SideBySidePage").then(({ SideBySidePage }) => SideBySidePage)),
  ],
  [
    "clients/:id/cautions",
    page(() => import("../features/cautions/CautionsPage").then(({ CautionsPage }) => CautionsPage)),
  ],
  [
    "clients/:id/rules",
    page(() => import("../features/rules/ClientRulesPage").then(({ ClientRulesPage }) => ClientRulesPage)),
  ],
  ["clients/:id/tape", page(() => import("../features/tape/TapePage").then(({ TapePage }) => TapePage))],
  ["clients/:id/limits", page(() => import("../features/limits/LimitsPage").then(({ LimitsPage }) => LimitsPage))],
  ["fittings/:id", page(() => import("../features/bench/BenchPage").then(({ BenchPage }) => BenchPage))],
  ["fittings/:id/set-up", page(() => import("../features/set-up/SetUpPage").then(({ SetUpPage }) => SetUpPage))],
  [
    "fittings/:id/progress",
    page(() => import("../features/progress/ProgressPage").then(({ ProgressPage }) => ProgressPage)),
  ],
  ["machines/:id/queue", page(() => import("../features/set-up/QueuePage").then(({ QueuePage }) => QueuePage))],
  ["you", page(() => import("../features/account/AccountPage").then(({ AccountPage }) => AccountPage))],
  ["machines", page(() => import("../features/machines/MachinesPage").then(({ MachinesPage }) => MachinesPage))],
  [
    "machines/new",
    page(() => import("../features/machines/EnterMachinePage").then(({ EnterMachinePage }) => EnterMachinePage)),
  ],
  ["machines/who-fits", page(() => import("../features/machines/WhoFitsPage").then(({ WhoFitsPage }) => WhoFitsPage))],
  ["machines/:id", page(() => import("../features/machines/MachinePage").then(({ MachinePage }) => MachinePage))],
  [
    "machines/:id/correct",
    page(() => import("../features/machines/EnterMachinePage").then(({ CorrectMachinePage }) => CorrectMachinePage)),
  ],
  [
    "machines/:id/sheet",
    page(() => import("../features/machines/WallSheetPage").then(({ WallSheetPage }) => WallSheetPage)),
  ],
  [
    "machines/:id/replace",
    page(() => import("../features/machines/ReplacePage").then(({ ReplacePage }) => ReplacePage)),
  ],
  ["practice", page(() => import("../features/practice/PracticePage").then(({ PracticePage }) => PracticePage))],
  ["practice/:id", page(() => import("../features/practice/RunPage").then(({ RunPage }) => RunPage))],
  ["board", page(() => import("../features/board/BoardPage").then(({ BoardPage }) => BoardPage))],
  ["refits", page(() => import("../features/refits/RefitsPage").then(({ RefitsPage }) => RefitsPage))],
  ["gym", page(() => import("../features/gym/GymPage").then(({ GymPage }) => GymPage))],
  ["gym/staff", page(() => import("../features/gym/StaffPage").then(({ StaffPage }) => StaffPage))],
  ["gym/audit", page(() => import("../features/gym/AuditPage").then(({ AuditPage }) => AuditPage))],
  ["gym/exchange", page(() => import("../features/exchange/ExchangePage").then(({ ExchangePage }) => ExchangePage))],
  ["machines/:id/tape", page(() => import("../features/machines/TapingPage").then(({ TapingPage }) => TapingPage))],
  ["clients/:id/session", page(() => import("../features/sessions/PlanPage").then(({ PlanPage }) => PlanPage))],
  ["sessions", page(() => import("../features/sessions/SessionsPage").then(({ SessionsPage }) => SessionsPage))],
  ["sessions/:id", page(() => import("../features/sessions/RunningPage").then(({ RunningPage }) => RunningPage))],
  [
    "sessions/groups/new",
    page(() => import("../features/sessions/NewGroupPage").then(({ NewGroupPage }) => NewGroupPage)),
  ],
  ["sessions/groups/:id", page(() => import("../features/sessions/GroupPage").then(({ GroupPage }) => GroupPage))],
  [
    "sessions/programmes/:id",
    page(() => import("../features/sessions/ProgrammePage").then(({ ProgrammePage }) => ProgrammePage)),
  ],
  ["rules", page(() => import("../features/rules/HouseRulesPage").then(({ HouseRulesPage }) => HouseRulesPage))],
  ["rules/cues", page(() => import("../features/rules/CuesPage").then(({ CuesPage }) => CuesPage))],
];

const FLOOR = "";
/** What the places that are opened first ask for, by their path. */
const ASKED: Readonly<Record<string, (queries: QueryClient, id: string) => Promise<void>[]>> = {
  [FLOOR]: (queries) => [queries.prefetchQuery(floorQuery), queries.prefetchQuery(refitsQuery)],
  "clients/:id": (queries, id) => [queries.prefetchQuery(clientQuery(id)), queries.prefetchQuery(predictionsQuery(id))],
  machines: (queries) => [
    queries.prefetchQuery(machinesQuery),
    queries.prefetchQuery(equipmentQuery),
    queries.prefetchQuery(platesQuery),
    queries.prefetchQuery(bandsQuery),
  ],
};

/** The first picture waits so long for what it shows, and then stands without. */
const WAITED_MS = 500;

/** Fetches the place at an address, and beside it what the place shows, so that both stand with the first picture. */
export async function fetchPlace(pathname: string, queries: QueryClient): Promise<void> {
  const door = DOORS.find(([path]) => path === pathname);
  if (door) return void (await door[1].fetch());
  const [path, Page] = PLACES.find(([one]) => matchPath(`/${one}`, pathname)) ?? [FLOOR, null];
  const id = matchPath(`/${path}`, pathname)?.params["id"] ?? "";
  const asked = Promise.all([queries.prefetchQuery(meQuery), ...(ASKED[path]?.(queries, id) ?? [])]);
  await Promise.all([Page?.fetch(), Promise.race([asked, new Promise((late) => setTimeout(late, WAITED_MS))])]);
}
