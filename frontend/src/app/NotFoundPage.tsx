import { say } from "../lib/say";
import { PrimaryLink } from "../ui/LinkButton";
import { Page, PageHead, Title } from "../ui/Page";

export function NotFoundPage() {
  return (
    <Page>
      <PageHead>
        <Title>{say("notFoundPage.title")}</Title>
      </PageHead>
      <PrimaryLink to="/">{say("notFoundPage.floorLink")}</PrimaryLink>
    </Page>
  );
}
