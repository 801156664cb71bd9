// The first page of an empty server: whoever read the console names the gym and becomes its lead.
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Navigate } from "react-router";
import { api, complaintAt, postAuth, refusal, unwrap } from "../../api/client";
import { firstQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Select } from "../../ui/Select";
import { useTitle } from "../../ui/useTitle";
import { LOCALES, ownLocale } from "../shared/locales";
import { Door } from "./Door";
import { useEntrance } from "./useEntrance";

type Unit = "cm" | "in";
const UNITS: readonly (readonly [Unit, string])[] = [
  ["cm", say("beginPage.metric")],
  ["in", say("beginPage.imperial")],
];
const AT_FIELDS = ["/code", "/gym", "/name", "/email", "/password"] as const;

export function BeginPage() {
  useTitle(say("beginPage.title"));
  const first = useQuery(firstQuery);
  const [typed, setTyped] = useState({ code: "", gym: "", name: "", email: "", password: "" });
  const [locale, setLocale] = useState(ownLocale);
  const [unit, setUnit] = useState<Unit>("cm");
  const enter = useEntrance();
  const begin = useMutation({
    mutationFn: async () => {
      const { email } = await unwrap(api.POST("/auth/first", { body: { ...typed, locale, length_unit: unit } }));
      await postAuth("login", { email, password: typed.password });
    },
    onSuccess: () => enter("/"),
  });
  if (first.data && !first.data.needed && !begin.isPending && !begin.isSuccess)
    return <Navigate to="/sign-in" replace />;
  const field = (name: keyof typeof typed) => ({
    value: typed[name],
    onChange: (value: string) => setTyped((before) => ({ ...before, [name]: value })),
    complaint: complaintAt(begin.error, `/${name}`),
    isRequired: true,
  });
  const atField = AT_FIELDS.some((path) => complaintAt(begin.error, path));
  return (
    <Door
      title={say("beginPage.title")}
      wrong={atField ? undefined : refusal(begin.error)?.message}
      send={say("beginPage.begin")}
      busy={begin.isPending}
      onSend={() => begin.mutate()}
    >
      <p>{say("beginPage.hint")}</p>
      <Field
        label={say("beginPage.code")}
        hint={say("beginPage.codeHint")}
        autoComplete="off"
        autoFocus
        {...field("code")}
      />
      <Field label={say("beginPage.gym")} autoComplete="organization" maxLength={80} {...field("gym")} />
      <Select label={say("beginPage.locale")} options={LOCALES} value={locale} onChange={setLocale} />
      <Choice label={say("beginPage.units")} options={UNITS} value={unit} onChange={setUnit} />
      <Field label={say("beginPage.name")} autoComplete="name" maxLength={80} {...field("name")} />
      <Field label={say("signInPage.email")} type="email" autoComplete="username" {...field("email")} />
      <Field
        label={say("welcomePage.ownPassword")}
        hint={say("passwordSheet.least")}
        type="password"
        autoComplete="new-password"
        {...field("password")}
      />
    </Door>
  );
}
