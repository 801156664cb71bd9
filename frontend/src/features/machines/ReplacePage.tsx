// A machine that goes and another in its place: everybody's settings there, whom to look at first, and the exchange itself.
import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { refusal } from "../../api/client";
import { machineQuery, replacementQuery } from "../../api/queries";
import type { MachinePage, MachineState, ReplacedSetting } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Options, Page, PageHead, Small, Title } from "../../ui/Page";
import { PrintPage } from "../../ui/PrintPage";
import { ProgressLine } from "../../ui/ProgressLine";
import { Select } from "../../ui/Select";
import { useTitle } from "../../ui/useTitle";
import { ReplaceIt } from "./ReplaceIt";
import { ReplacedSettings } from "./ReplacedSettings";

const HUNDRED = 100;

export function ReplacePage() {
  const { id = "" } = useParams();
  const page = useQuery(machineQuery(id));
  useTitle(say("replacePage.title", { machine: page.data?.machine.name ?? "" }));
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message}</Notice>
        <QuietLink to="/machines">{say("machinePage.listLink")}</QuietLink>
      </Page>
    );
  return page.data ? <Replacing id={id} page={page.data} /> : null;
}

const SHOWN = [
  ["all", say("replacePage.everybody")],
  ["check", say("replacePage.toCheck")],
] as const;

function Replacing({ id, page }: { id: string; page: MachinePage }) {
  const [query, setQuery] = useSearchParams();
  const instead = query.get("instead") ?? "";
  const shown = query.get("show") === "check" ? "check" : "all";
  const set = (name: string, value: string) =>
    setQuery((before) => new URLSearchParams({ ...Object.fromEntries(before), [name]: value }), { replace: true });
  const asked = useEverybody(id, instead);
  const { others, lines, of } = asked;
  const other = others.find((one) => one.id === instead);
  const seen = shown === "check" ? lines.filter(({ check, tried }) => check && !tried) : lines;
  return (
    <Page>
      <PageHead>
        <Title>
          {other
            ? say("replacePage.forAnother", { old: page.machine.name, other: other.name })
            : say("replacePage.title", { machine: page.machine.name })}
        </Title>
        <QuietLink to={`/machines/${id}`}>{say("replacePage.back")}</QuietLink>
      </PageHead>
      {asked.problem ? <Notice tone="wrong">{refusal(asked.problem)?.message}</Notice> : null}
      {asked.ready && others.length === 0 ? <Empty>{say("replacePage.noOther")}</Empty> : null}
      {others.length > 0 ? (
        <Options>
          <Select
            label={say("replacePage.other")}
            options={[["", say("replacePage.choose")], ...others.map((one) => [one.id, named(one)] as const)]}
            value={instead}
            onChange={(value) => set("instead", value)}
          />
          {instead ? (
            <>
              <Choice
                compact
                label={say("replacePage.shown")}
                options={SHOWN}
                value={shown}
                onChange={(value) => set("show", value)}
              />
              <PrintPage />
              {other && other.state !== "considered" && page.machine.state !== "retired" ? (
                <ReplaceIt id={id} page={page} other={other} />
              ) : null}
            </>
          ) : null}
        </Options>
      ) : null}
      {instead && asked.ready ? (
        <>
          {asked.going || asked.stopped ? (
            <Options aria-live="polite">
              <ProgressLine
                share={of === 0 ? HUNDRED : (HUNDRED * asked.people) / of}
                words={say("replacePage.going", { people: asked.people, of })}
              />
              {asked.stopped ? (
                <SecondaryButton onPress={asked.goOn}>{say("replacePage.goOn")}</SecondaryButton>
              ) : (
                <SecondaryButton onPress={asked.stop}>{say("replacePage.stop")}</SecondaryButton>
              )}
            </Options>
          ) : null}
          <p style={{ marginBottom: "1rem" }}>{say("replacePage.count", count(lines, of))}</p>
          {seen.length === 0 && !asked.going ? (
            <Empty>{of === 0 ? say("replacePage.nobody") : say("replacePage.noneToCheck")}</Empty>
          ) : (
            <ReplacedSettings lines={seen} />
          )}
          <Small>{say("replacePage.note")}</Small>
        </>
      ) : null}
    </Page>
  );
}

const named = ({ name, place, state }: { name: string; place: string; state: MachineState }) =>
  [name, place, state === "considered" ? say("needs.considered") : ""].filter(Boolean).join(" · ");
const count = (lines: readonly ReplacedSetting[], of: number) => ({
  of,
  check: lines.filter(({ check, tried }) => check && !tried).length,
  tried: lines.filter(({ tried }) => tried).length,
});

/** Asked some people at a time, one after the other, until all were or somebody stops it. */
function useEverybody(id: string, instead: string) {
  const pages = useInfiniteQuery(replacementQuery(id, instead));
  const [stopped, setStopped] = useState(false);
  const { hasNextPage, isFetching, isError, fetchNextPage } = pages;
  useEffect(() => {
    if (instead !== "" && hasNextPage && !isFetching && !isError && !stopped) void fetchNextPage();
  }, [instead, hasNextPage, isFetching, isError, stopped, fetchNextPage]);
  const all = pages.data?.pages ?? [];
  const lines = all.flatMap((one) => one.lines);
  return {
    ready: pages.data !== undefined,
    problem: pages.error,
    others: all[0]?.others ?? [],
    lines,
    of: all[0]?.of ?? 0,
    people: new Set(lines.map(({ client }) => client.id)).size,
    going: hasNextPage && !stopped,
    stopped: stopped && hasNextPage,
    stop: () => setStopped(true),
    goOn: () => setStopped(false),
  };
}
