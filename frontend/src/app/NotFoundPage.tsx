import { PrimaryLink } from "../ui/LinkButton";
import { Page, PageHead, Title } from "../ui/Page";

export function NotFoundPage() {
  return (
    <Page>
      <PageHead>
        <Title>There is nothing at this address</Title>
      </PageHead>
      <PrimaryLink to="/">To the floor</PrimaryLink>
    </Page>
  );
}
