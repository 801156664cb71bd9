import { Link } from "react-router";
import styled from "styled-components";
import { primary, quiet, secondary } from "./Button";

export const PrimaryLink = styled(Link)`
  ${primary}
`;
export const SecondaryLink = styled(Link)`
  ${secondary}
`;
export const QuietLink = styled(Link)`
  ${quiet}
`;
