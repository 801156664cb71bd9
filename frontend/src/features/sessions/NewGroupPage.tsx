// A group gathered: its name, its stations, its people, how long a round is worked.
import { useMutation, useQueries, useQuery, useQueryClient } from "@tanstack/react-query";
import { Form } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { machinesQuery, stationsQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { Tick } from "../../ui/Tick";
import { useKept } from "../../ui/useKept";
import { useTitle } from "../../ui/useTitle";
import { ClientPicker } from "../shared/ClientPicker";
import { useClientName } from "./useClientName";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(8)};
  align-items: start;
  && > section + section {
    margin-top: 0;
  }
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Ticks = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: ${space(1)} ${space(4)};
`;
const Fits = styled(Small)`
  display: block;
`;
const SECONDS = ["30", "45", "60", "90", "120"] as const;
const MOST = 12;

type Draft = { name: string; work_s: string; stations: string[]; people: string[] };
const EMPTY: Draft = { name: "", work_s: "60", stations: [], people: [] };

export function NewGroupPage() {
  useTitle(say("newGroupPage.title"));
  const [draft, setDraft, forget] = useKept<Draft>("group", EMPTY);
  const machines = useQuery(machinesQuery);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const gather = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/circles", { params: { header: newKey() }, body: { ...draft, work_s: Number(draft.work_s) } }),
      ),
    onSuccess: async (circle) => {
      forget();
      queryClient.setQueryData(keys.circle(circle.id), circle);
      await queryClient.invalidateQueries({ queryKey: keys.circles });
      await navigate(`/sessions/groups/${circle.id}`);
    },
  });
  const tell = (fields: Partial<Draft>) => {
    gather.reset();
    setDraft({ ...draft, ...fields });
  };
  const stations = (machines.data ?? [])
    .filter(({ state }) => state === "in_use")
    .flatMap(({ id, name, exercises }) =>
      exercises.length > 1
        ? exercises.map((one) => ({ key: `${id}/${one.name}`, name: `${name}: ${one.title.toLowerCase()}` }))
        : [{ key: `${id}/`, name }],
    )
    .toSorted((one, other) => one.name.localeCompare(other.name));
  const works = useQueries({ queries: draft.people.map(stationsQuery) }).map(({ data }) => data);
  const known = works.filter((one) => one !== undefined);
  const ready = draft.name.trim() !== "" && draft.stations.length > 0 && draft.people.length > 0;
  return (
    <Page>
      <PageHead>
        <Title>{say("newGroupPage.title")}</Title>
      </PageHead>
      {gather.error ? <Notice tone="wrong">{refusal(gather.error)?.message}</Notice> : null}
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          gather.mutate();
        }}
      >
        <Columns>
          <Section>
            <Field
              label={say("newGroupPage.name")}
              value={draft.name}
              maxLength={80}
              autoComplete="off"
              onChange={(name) => tell({ name })}
            />
            <div style={{ margin: `${space(4)} 0` }}>
              <Choice
                label={say("newGroupPage.work")}
                options={SECONDS.map((one) => [one, say("newGroupPage.seconds", { seconds: one })])}
                value={draft.work_s}
                onChange={(work_s) => tell({ work_s })}
              />
            </div>
            <ClientPicker
              label={say("newGroupPage.people")}
              without={draft.people}
              onPick={(id) => tell({ people: [...draft.people, id].slice(0, MOST) })}
            />
            {draft.people.length > 0 ? (
              <Rows aria-label={say("newGroupPage.people")} style={{ marginTop: space(3) }}>
                {draft.people.map((id, index) => (
                  <Person
                    key={id}
                    id={id}
                    stations={draft.stations.length}
                    works={works[index]?.filter((key) => draft.stations.includes(key)).length}
                    onGone={() => tell({ people: draft.people.filter((one) => one !== id) })}
                  />
                ))}
              </Rows>
            ) : null}
          </Section>
          <Section>
            <SectionTitle>{say("newGroupPage.stations")}</SectionTitle>
            <Ticks>
              {stations.map(({ key, name }) => (
                <Tick
                  key={key}
                  isSelected={draft.stations.includes(key)}
                  isDisabled={draft.stations.length >= MOST && !draft.stations.includes(key)}
                  onChange={(on) =>
                    tell({ stations: on ? [...draft.stations, key] : draft.stations.filter((one) => one !== key) })
                  }
                >
                  <span>
                    {name}
                    {known.length > 0 ? (
                      <Fits>
                        {say("newGroupPage.fits", {
                          count: known.filter((keys) => keys.includes(key)).length,
                          of: known.length,
                        })}
                      </Fits>
                    ) : null}
                  </span>
                </Tick>
              ))}
            </Ticks>
          </Section>
        </Columns>
        <p style={{ marginTop: space(5) }}>
          <PrimaryButton type="submit" isDisabled={!ready || gather.isPending}>
            {say("newGroupPage.gather")}
          </PrimaryButton>
        </p>
      </Form>
    </Page>
  );
}

type PersonProps = { id: string; stations: number; works: number | undefined; onGone: () => void };

function Person({ id, stations, works, onGone }: PersonProps) {
  const name = useClientName(id);
  return (
    <li style={{ display: "flex", justifyContent: "space-between", alignItems: "center", padding: space(2) }}>
      <span>
        <Strong>{name}</Strong>
        {stations > 0 && works !== undefined ? (
          <Fits>{say("newGroupPage.works", { count: works, of: stations })}</Fits>
        ) : null}
      </span>
      <QuietButton onPress={onGone}>{say("groupPage.goes", { name })}</QuietButton>
    </li>
  );
}
