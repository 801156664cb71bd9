// What a phone read of a set that was written down: fetched when somebody looks.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { refusal } from "../../../api/client";
import { setMovementQuery } from "../../../api/queries";
import { say } from "../../../lib/say";
import { QuietButton } from "../../../ui/Button";
import { Dialogue } from "../../../ui/Dialogue";
import { Notice } from "../../../ui/Notice";
import { Review } from "./Review";

export function SetReview({ set }: { set: string }) {
  const [looking, setLooking] = useState(false);
  const read = useQuery({ ...setMovementQuery(set), enabled: looking });
  return (
    <>
      <QuietButton onPress={() => setLooking(true)}>{say("readByPhone.look")}</QuietButton>
      <Dialogue title={say("readByPhone.title")} isOpen={looking} onClose={() => setLooking(false)}>
        {read.error ? <Notice tone="wrong">{refusal(read.error)?.message}</Notice> : null}
        {read.data ? <Review review={read.data.review} wholeShare={read.data.whole_share} /> : null}
      </Dialogue>
    </>
  );
}
