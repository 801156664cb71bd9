// Taking the measures, one at a time: where the tape goes, what is expected, which is worth taking next.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { api, newKey, Refused, unwrap } from "../../api/client";
import { clientQuery, meQuery } from "../../api/queries";
import type { ClientPage, Observation, ObservationName } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { TapeDrawing } from "../../scene/TapeDrawing";
import { fromMm, type LengthUnit, lengthText } from "../../lib/lengths";
import { Choice } from "../../ui/Choice";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { Muted, Page, Title } from "../../ui/Page";
import {
  GuidedColumns,
  GuidedEnds,
  GuidedHead,
  GuidedItem,
  GuidedList,
  GuidedPicture,
  LENGTH_UNITS,
} from "../../ui/Guided";
import { space } from "../../ui/tokens";
import { useKept } from "../../ui/useKept";
import { ReadingForm } from "./ReadingForm";

/** The ones that fit nearly everybody come first; the others are there when they help. */
const USUAL: readonly ObservationName[] = [
  "stature",
  "seat_to_kneecap",
  "floor_to_knee_top",
  "seat_to_crease",
  "knee_to_ankle",
];
const order = (observation: Observation) => USUAL.indexOf(observation.name) + 1 || USUAL.length + 1;

const Picture = styled(GuidedPicture)`
  height: min(58vh, 30rem);
  padding: ${space(3)};
`;

export function TapePage() {
  const { id = "" } = useParams();
  const page = useQuery({ ...clientQuery(id), refetchOnWindowFocus: false });
  const me = useQuery(meQuery);
  useTitle(page.data ? say("tapePage.tapeName", { name: page.data.client.name }) : say("tapePage.tape"));
  if (!page.data || !me.data) return null;
  return <Tape key={id} id={id} page={page.data} unitAtFirst={me.data.length_unit} />;
}

const firstToTake = (page: ClientPage): ObservationName => {
  const taken = (name: ObservationName) =>
    page.observations.some((observation) => observation.name === name && observation.reading);
  if (!taken("stature")) return "stature";
  return page.ask_for[0] ?? page.next ?? USUAL.find((name) => !taken(name)) ?? "stature";
};

function Tape({ id, page, unitAtFirst }: { id: string; page: ClientPage; unitAtFirst: LengthUnit }) {
  const [unit, setUnit] = useKept<LengthUnit>("unit", unitAtFirst);
  const [chosen, setChosen] = useState<ObservationName>(() => firstToTake(page));
  const [said, setSaid] = useState("");
  const [removed, setRemoved] = useState<Observation | null>(null);
  const queryClient = useQueryClient();
  const observations = [...page.observations].sort((one, other) => order(one) - order(other));
  const current = observations.find((observation) => observation.name === chosen) ?? page.observations[0];

  const keep = (next: ClientPage) => queryClient.setQueryData(clientQuery(id).queryKey, next);
  const take = useMutation({
    mutationFn: ({ name, ...read }: { name: ObservationName; value: number; unit: LengthUnit; confirmed: boolean }) =>
      unwrap(
        api.PUT("/api/clients/{id}/readings/{observation}", {
          params: { path: { id, observation: name }, header: newKey() },
          body: { ...read, version: page.client.version },
        }),
      ),
    onSuccess: (next, { name }) => {
      keep(next);
      setRemoved(null);
      const taken = next.observations.find((observation) => observation.name === name);
      setSaid(
        say("tapePage.keptNotice", {
          title: taken?.title,
          length: lengthText(taken?.reading?.value_mm ?? 0, unit),
        }),
      );
      setChosen(firstToTake(next));
    },
    onError: (thrown) => {
      if (thrown instanceof Refused && thrown.status === 409)
        void queryClient.invalidateQueries({ queryKey: keys.client(id) });
    },
  });
  const remove = useMutation({
    mutationFn: ({ name }: Observation) =>
      unwrap(
        api.DELETE("/api/clients/{id}/readings/{observation}", {
          params: { path: { id, observation: name }, query: { version: page.client.version }, header: newKey() },
        }),
      ),
    onSuccess: (next, observation) => {
      keep(next);
      setRemoved(observation);
      setSaid(say("tapePage.titleRemoved", { title: observation.title }));
    },
  });
  // As it was read, and as sure as it was then.
  const putBack = ({ name, reading }: Observation) =>
    reading &&
    take.mutate({
      name,
      value: fromMm(reading.value_mm, reading.unit),
      unit: reading.unit,
      confirmed: reading.state !== "used",
    });
  const choose = (name: ObservationName) => {
    take.reset();
    setChosen(name);
  };
  if (!current) return null;
  const enough =
    page.observations.filter((observation) => observation.reading).length >= 2 &&
    page.next === null &&
    page.ask_for.length === 0;
  const Leave = enough ? PrimaryLink : SecondaryLink;
  return (
    <Page>
      <GuidedHead>
        <div>
          <Title>
            {say("tapePage.tape2")} {page.client.name}
          </Title>
          <Muted>{say("tapePage.hint")}</Muted>
        </div>
        <GuidedEnds>
          <Choice compact label={say("tapePage.unit")} options={LENGTH_UNITS} value={unit} onChange={setUnit} />
          <Leave to={`/clients/${id}`}>{enough ? say("tapePage.enoughLink") : say("tapePage.cardLink")}</Leave>
        </GuidedEnds>
      </GuidedHead>
      <GuidedColumns>
        <GuidedList aria-label={say("tapePage.measures")}>
          {observations.map((observation) => (
            <li key={observation.name}>
              <MeasureLine
                observation={observation}
                page={page}
                unit={unit}
                current={observation.name === chosen}
                onPress={() => choose(observation.name)}
              />
            </li>
          ))}
        </GuidedList>
        <Picture>
          <TapeDrawing name={current.name} body={page.body} title={current.title} />
        </Picture>
        <ReadingForm
          key={current.name}
          clientId={id}
          observation={current}
          unit={unit}
          busy={take.isPending}
          thrown={take.error}
          said={said}
          onTyped={() => take.isError && take.reset()}
          onTake={(value, confirmed) => take.mutate({ name: chosen, value, unit, confirmed })}
          onRemove={() => remove.mutate(current)}
          onPutBack={removed?.reading ? () => putBack(removed) : null}
        />
      </GuidedColumns>
    </Page>
  );
}

type LineProps = {
  observation: Observation;
  page: ClientPage;
  unit: LengthUnit;
  current: boolean;
  onPress: () => void;
};

function MeasureLine({ observation, page, unit, current, onPress }: LineProps) {
  const { reading } = observation;
  const states = {
    used: "",
    confirmed: say("tapePage.confirmed"),
    left_out: say("tapePage.excluded"),
  };
  const why = page.ask_for.includes(observation.name)
    ? say("tapePage.forMass")
    : page.next === observation.name
      ? say("tapePage.nextHelp", { gain: Math.round(observation.gain * 100) })
      : null;
  return (
    <GuidedItem onPress={onPress} aria-current={current ? "step" : undefined}>
      <span>{observation.title}</span>
      {reading ? <b>{lengthText(reading.value_mm, unit)}</b> : null}
      {reading && reading.state !== "used" ? <small>{states[reading.state]}</small> : null}
      {!reading && why ? <small>{why}</small> : null}
    </GuidedItem>
  );
}
