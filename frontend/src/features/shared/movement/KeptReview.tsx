// What a phone read of a set, as it was kept: behind a button, over the page.
import { useState } from "react";
import type { KeptReading } from "../../../api/types";
import { say } from "../../../lib/say";
import { QuietButton } from "../../../ui/Button";
import { Dialogue } from "../../../ui/Dialogue";
import { Review } from "./Review";

export function KeptReview({ read }: { read: KeptReading }) {
  const [looking, setLooking] = useState(false);
  return (
    <>
      <QuietButton onPress={() => setLooking(true)}>{say("readByPhone.look")}</QuietButton>
      <Dialogue title={say("readByPhone.title")} isOpen={looking} onClose={() => setLooking(false)}>
        <Review review={read.review} wholeShare={read.whole_share} />
      </Dialogue>
    </>
  );
}
