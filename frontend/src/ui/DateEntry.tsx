import { type CalendarDate, parseDate } from "@internationalized/date";
import { DateField, DateInput, DateSegment } from "react-aria-components";
import styled from "styled-components";
import { Complaint, FieldHint, FieldLabel } from "./Field";
import { colour, radius, space, target } from "./tokens";

const Segments = styled(DateInput)`
  display: flex;
  align-items: center;
  min-height: ${target.least};
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Segment = styled(DateSegment)`
  padding: 0 ${space(0.5)};
  border-radius: ${radius};
  &[data-placeholder] {
    color: ${colour.inkMuted};
  }
`;

type Props = {
  label: string;
  hint: string;
  value: string | null;
  onChange: (iso: string | null) => void;
  complaint?: string | undefined;
};

/** A day, typed part by part in the order of the gym's locale. */
export function DateEntry({ label, hint, value, onChange, complaint }: Props) {
  return (
    <DateField<CalendarDate>
      value={value ? parseDate(value) : null}
      onChange={(date) => onChange(date?.toString() ?? null)}
      isInvalid={Boolean(complaint)}
      validationBehavior="aria"
    >
      <FieldLabel>{label}</FieldLabel>
      <Segments>{(segment) => <Segment segment={segment} />}</Segments>
      <FieldHint slot="description">{hint}</FieldHint>
      <Complaint>{complaint}</Complaint>
    </DateField>
  );
}
