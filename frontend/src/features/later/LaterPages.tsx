// Places whose work is not built yet: they say what they will hold, and pretend nothing.
import { say } from "../../lib/say";
import { useTitle } from "../../ui/useTitle";
import { Empty, Page, PageHead, Title } from "../../ui/Page";

function Later({ title, children }: { title: string; children: string }) {
  useTitle(title);
  return (
    <Page>
      <PageHead>
        <Title>{title}</Title>
      </PageHead>
      <Empty>{children}</Empty>
    </Page>
  );
}

export const SessionsPage = () => <Later title={say("laterPages.sessions")}>{say("laterPages.unbuilt")}</Later>;
