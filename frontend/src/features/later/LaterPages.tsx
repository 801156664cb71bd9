// Places whose work is not built yet: they say what they will hold, and pretend nothing.
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

export const SessionsPage = () => (
  <Later title="Sessions">
    Not built yet. Here a client or a group will get an order of machines with marks and loads, and a circuit the
    cheapest changeovers. Today, open a client and pick a machine.
  </Later>
);
