// What the gym says of itself: where its own network finds Verglas, how names stand on a wall. Whoever leads the gym sets it.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { api, complaintAt, newKey, refusal, standing, unwrap } from "../../api/client";
import { gymQuery, meQuery } from "../../api/queries";
import type { GymSettings, WallNames } from "../../api/types";
import { dayText, timeText } from "../../lib/dates";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { localesWith } from "../shared/locales";
import { PastTheirTime } from "./PastTheirTime";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(5)};
  justify-items: start;
  max-width: 38rem;
`;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-left: auto;
`;

const LEAD = "lead";
const FOR_EVER = 0;
/** After which cautions are asked about again. */
const IDLE = [1, 2, 3, 5, 10, 15, 30, 60].map((count) => [String(count), String(count)] as const);
const MONTHS = [3, 6, 12, 18, 24].map((count) => [String(count), String(count)] as const);
const YEARS: readonly (readonly [string, string])[] = [
  [String(FOR_EVER), say("gymPage.forEver")],
  ...[1, 2, 3, 5, 10, 20, 30].map((count) => [String(count), say("gymPage.years", { count })] as const),
];
const NAMES: readonly (readonly [WallNames, string])[] = [
  ["full", say("gymPage.full")],
  ["initial", say("gymPage.shortNames")],
  ["number", say("gymPage.number")],
];

export function GymPage() {
  useTitle(say("gymPage.theGym"));
  const gym = useQuery(gymQuery);
  const me = useQuery(meQuery);
  if (!gym.data || !me.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{gym.data.name}</Title>
        <Muted>{say("gymPage.title")}</Muted>
        {me.data.role === LEAD ? (
          <Ways>
            <SecondaryLink to="/gym/staff">{say("staffPage.title")}</SecondaryLink>
            <SecondaryLink to="/gym/exchange">{say("gymPage.outAndIn")}</SecondaryLink>
            <SecondaryLink to="/gym/audit">{say("gymPage.auditLink")}</SecondaryLink>
          </Ways>
        ) : null}
      </PageHead>
      {gym.data.backup_late ? (
        <div style={{ marginBottom: "1.25rem" }}>
          <Notice tone="wrong">
            {gym.data.backed_up
              ? say("gymPage.backupOld", { time: dayText(gym.data.backed_up, me.data.gym.locale) })
              : say("gymPage.backupNone")}
          </Notice>
        </div>
      ) : gym.data.backed_up ? (
        <p style={{ marginBottom: "1.25rem" }}>
          {say("gymPage.backedUp", { time: timeText(gym.data.backed_up, me.data.gym.locale) })}
        </p>
      ) : null}
      <Settings first={gym.data} lead={me.data.role === LEAD} />
      {me.data.role === LEAD && gym.data.keep_years !== null ? <PastTheirTime years={gym.data.keep_years} /> : null}
    </Page>
  );
}

function Settings({ first, lead }: { first: GymSettings; lead: boolean }) {
  const [address, setAddress] = useState(first.address);
  const [names, setNames] = useState(first.wall_names);
  const [name, setName] = useState(first.name);
  const [locale, setLocale] = useState(first.locale);
  const [consent, setConsent] = useState(first.consent_text);
  const [ownPages, setOwnPages] = useState(first.own_pages);
  const [months, setMonths] = useState(String(first.ask_again_months));
  const [idle, setIdle] = useState(String(first.idle_minutes));
  const [years, setYears] = useState(String(first.keep_years ?? FOR_EVER));
  // What was seen here last: what a colleague kept since is overwritten only once it was shown.
  const [version, setVersion] = useState(first.version);
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/gym", {
          params: { header: newKey() },
          body: {
            version,
            address: address.trim().replace(/\/+$/, ""),
            wall_names: names,
            name,
            locale,
            own_pages: ownPages,
            consent_text: consent.trim(),
            idle_minutes: Number(idle),
            keep_years: Number(years) || null,
            ask_again_months: Number(months) || first.ask_again_months,
          },
        }),
      ),
    onSuccess: (kept) => {
      void queryClient.invalidateQueries({ queryKey: keys.pastTheirTime });
      void queryClient.invalidateQueries({ queryKey: keys.me });
      queryClient.setQueryData(gymQuery.queryKey, kept);
      setVersion(kept.version);
      setAddress(kept.address);
    },
    onError: (thrown) => {
      const now = standing<GymSettings>(thrown);
      if (now) setVersion(now.version);
    },
  });
  const wrongAddress = complaintAt(keep.error, "/address");
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Field
        label={say("beginPage.gym")}
        value={name}
        onChange={setName}
        maxLength={80}
        isRequired
        isDisabled={!lead}
        autoComplete="off"
        complaint={complaintAt(keep.error, "/name")}
        style={{ width: "100%" }}
      />
      <Select label={say("beginPage.locale")} options={localesWith(first.locale)} value={locale} onChange={setLocale} />
      <Field
        label={say("gymPage.address")}
        hint={say("gymPage.addressHint")}
        value={address}
        onChange={setAddress}
        maxLength={110}
        isDisabled={!lead}
        autoComplete="off"
        complaint={wrongAddress ? say("gymPage.notAnAddress") : undefined}
        style={{ width: "100%" }}
      />
      <Choice
        label={say("gymPage.wallNames")}
        hint={say("gymPage.namesHint")}
        options={NAMES}
        value={names}
        onChange={setNames}
      />
      <Tick isSelected={ownPages} onChange={setOwnPages} isDisabled={!lead}>
        {say("gymPage.ownPages")}
      </Tick>
      <Field
        label={say("gymPage.consent")}
        hint={say("gymPage.consentHint")}
        value={consent}
        onChange={setConsent}
        maxLength={600}
        isDisabled={!lead}
        autoComplete="off"
        style={{ width: "100%" }}
      />
      <Select
        label={say("gymPage.keepYears")}
        hint={say("gymPage.keepYearsHint")}
        options={YEARS}
        value={years}
        onChange={setYears}
      />
      <Select
        label={say("gymPage.askAgainMonths")}
        hint={say("gymPage.askAgainHint")}
        options={MONTHS}
        value={months}
        onChange={setMonths}
      />
      <Select
        label={say("gymPage.idle")}
        hint={say("gymPage.idleHint")}
        options={IDLE}
        value={idle}
        onChange={setIdle}
      />
      {lead ? (
        <PrimaryButton type="submit" isDisabled={keep.isPending}>
          {say("gymPage.keep")}
        </PrimaryButton>
      ) : (
        <Notice>{say("gymPage.onlyALead")}</Notice>
      )}
      {keep.error && !wrongAddress ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
      {keep.isSuccess ? <p role="status">{say("gymPage.kept")}</p> : null}
    </Sheet>
  );
}
