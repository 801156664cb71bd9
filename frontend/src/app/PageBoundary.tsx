// A place that could not be fetched or shown: says so, and keeps the frame round it.
import { say } from "../lib/say";
import { Component, type ReactNode } from "react";
import { SecondaryButton } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Page } from "../ui/Page";

type State = { failed: boolean };

/** Give it the address as key, so that another place is tried anew. */
export class PageBoundary extends Component<{ children: ReactNode }, State> {
  override state: State = { failed: false };

  static getDerivedStateFromError(): State {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <Page>
        <Notice tone="wrong">
          {say("pageBoundary.failed")}{" "}
          <SecondaryButton onPress={() => window.location.reload()}>{say("pageBoundary.reload")}</SecondaryButton>
        </Notice>
      </Page>
    );
  }
}
