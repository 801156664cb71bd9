import type { ReactNode } from "react";
import { FieldError, Input, Label, Text, TextField as AriaTextField, type TextFieldProps } from "react-aria-components";
import styled from "styled-components";
import { colour, font, radius, size, space, target } from "./tokens";

export const FieldLabel = styled(Label)`
  display: block;
  font-weight: ${font.strong};
  margin-bottom: ${space(1)};
`;

export const FieldHint = styled(Text)`
  display: block;
  color: ${colour.inkMuted};
  font-size: ${size.small};
  margin-top: ${space(1)};
`;

export const FieldInput = styled(Input)`
  width: 100%;
  min-height: ${target.least};
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  &[data-invalid] {
    border: 2px solid ${colour.off};
  }
`;

export const Complaint = styled(FieldError)`
  display: block;
  color: ${colour.off};
  font-weight: ${font.strong};
  font-size: ${size.small};
  margin-top: ${space(1)};
`;

type Props = TextFieldProps & {
  label: string;
  hint?: ReactNode;
  complaint?: string | undefined;
  inputMode?: "decimal";
};

/** A labelled text field with its hint and, where something is wrong, what. */
export function Field({ label, hint, complaint, inputMode, ...props }: Props) {
  return (
    <AriaTextField {...props} isInvalid={Boolean(complaint)} validationBehavior="aria">
      <FieldLabel>{label}</FieldLabel>
      <FieldInput inputMode={inputMode} />
      {hint ? <FieldHint slot="description">{hint}</FieldHint> : null}
      <Complaint>{complaint}</Complaint>
    </AriaTextField>
  );
}
