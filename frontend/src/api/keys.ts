// The keys under which server data are kept: no other file spells one. What a key begins with is invalidated with it.
const of = <Parts extends readonly unknown[]>(...parts: Parts) => parts;

export const keys = {
  me: of("me"),
  tablet: of("tablet"),
  ownSessions: of("own-sessions"),
  first: of("first"),
  link: (secret: string) => of("link", secret),
  colleagues: of("colleagues"),
  beginnings: of("beginnings"),

  floor: of("floor"),
  found: (text: string) => of("found", text),
  gym: of("gym"),
  aims: of("aims"),
  tempos: of("tempos"),
  equipment: of("equipment"),
  plates: of("plates"),
  rules: of("rules"),
  ruleChanges: (question: string, school: string) => of("rules", question, "changes", school),
  refits: of("refits"),
  board: (weeks: string, place: string | null) => of("board", weeks, place),
  audit: (subject: string | null) => of("audit", subject),
  pastTheirTime: of("past-their-time"),

  families: of("families"),
  machines: of("machines"),
  /** Every machine's page and what is asked of it. */
  anyMachine: of("machine"),
  machine: (id: string) => of("machine", id),
  population: (id: string) => of("machine", id, "population"),
  populationOf: (id: string, exercise: string) => of("machine", id, "population", exercise),
  changes: (id: string, number: number) => of("machine", id, "changes", number),
  trial: (id: string, ...of_: readonly unknown[]) => of("machine", id, "trial", ...of_),
  wallSheet: (id: string, view: object) => of("machine", id, "sheet", view),
  queues: of("queue"),
  queue: (id: string, exercise: string) => of("queue", id, exercise),

  clients: of("clients"),
  search: (text: string) => of("clients", text),
  searchAll: (text: string) => of("clients", "all", text),
  client: (id: string) => of("client", id),
  cautions: (id: string) => of("client", id, "cautions"),
  clientRules: (id: string) => of("client", id, "rules"),
  sharing: (id: string) => of("client", id, "sharing"),
  limits: (id: string) => of("client", id, "limits"),
  predictions: (id: string) => of("client", id, "predictions"),
  history: (id: string, machine: string, exercise: string) => of("client", id, "history", machine, exercise),

  fittings: of("fitting"),
  fitting: (id: string) => of("fitting", id),
  /** What the bench computes of a fitting: what, and from what. */
  computed: (id: string, what: string, ...from: readonly unknown[]) => of("fitting", id, what, ...from),
  setUp: (id: string) => of("set-up", id),
  progresses: of("progress"),
  progress: (id: string) => of("progress", id),
};
