// A photograph of a machine or of one adjuster: taken or chosen, scaled down here (which also drops where it was taken), sent.
import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { machineQuery } from "../../api/queries";
import type { MachinePage } from "../../api/types";
import { QuietButton } from "../../ui/Button";
import { Small } from "../../ui/Page";
import { colour, font, radius, space, target } from "../../ui/tokens";

const LONGEST_PX = 1280;
const QUALITY = 0.82;

const Frame = styled.figure`
  display: grid;
  gap: ${space(1)};
  img {
    display: block;
    width: 100%;
    max-height: 16rem;
    object-fit: cover;
    border-radius: ${radius};
    border: 1px solid ${colour.line};
  }
`;
const Take = styled.label`
  display: inline-flex;
  align-items: center;
  min-height: ${target.least};
  padding: 0 ${space(2)};
  color: ${colour.action};
  font-weight: ${font.strong};
  cursor: pointer;
  border-radius: ${radius};
  &:hover {
    background: ${colour.actionQuiet};
  }
  &:focus-within {
    outline: 3px solid ${colour.action};
    outline-offset: 2px;
  }
  input {
    position: absolute;
    width: 1px;
    height: 1px;
    opacity: 0;
  }
`;

/** A picture file as a smaller JPEG, as base64 without its prefix. */
async function scaled(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file);
  const factor = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(picture.width * factor);
  canvas.height = Math.round(picture.height * factor);
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL("image/jpeg", QUALITY).replace(/^data:image\/jpeg;base64,/, "");
}

const addressOf = (id: string) => `/api/photographs/${id}`;
const pictureOf = async (id: string): Promise<Blob> => (await fetch(addressOf(id))).blob();

type Props = { id: string; page: MachinePage; adjuster: string; name: string };

export function Photograph({ id, page, adjuster, name }: Props) {
  const field = useId();
  const queryClient = useQueryClient();
  const [removed, setRemoved] = useState<Blob | null>(null);
  const there = page.photographs.find((photograph) => photograph.adjuster === adjuster);
  const keep = (photographs: MachinePage["photographs"]) =>
    queryClient.setQueryData(machineQuery(id).queryKey, (old) => (old ? { ...old, photographs } : old));
  const send = useMutation({
    mutationFn: async (file: Blob) =>
      unwrap(
        api.PUT("/api/machines/{id}/photographs", {
          params: { path: { id }, header: newKey() },
          body: { adjuster, jpeg_base64: await scaled(file) },
        }),
      ),
    onSuccess: ({ photographs }) => {
      keep(photographs);
      setRemoved(null);
    },
  });
  // Held here until the page is left, so that it can be put back.
  const remove = useMutation({
    mutationFn: async (picture: Promise<Blob>) => {
      const kept = await picture;
      const answer = await unwrap(
        api.POST("/api/machines/{id}/photographs/removal", {
          params: { path: { id }, header: newKey() },
          body: { adjuster },
        }),
      );
      return { ...answer, kept };
    },
    onSuccess: ({ photographs, kept }) => {
      keep(photographs);
      setRemoved(kept);
    },
  });
  const problem = send.error
    ? (refusal(send.error)?.message ?? say("photograph.readFailed"))
    : remove.error
      ? (refusal(remove.error)?.message ?? say("photograph.removeFailed"))
      : null;
  return (
    <Frame>
      {there ? <img src={addressOf(there.id)} alt={say("photograph.photographName", { name })} /> : null}
      <span>
        <Take htmlFor={field}>
          {there ? say("photograph.retake") : say("photograph.photograph")}
          <input
            id={field}
            type="file"
            accept="image/*"
            aria-label={say("photograph.name", { name })}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) send.mutate(file);
              event.target.value = "";
            }}
          />
        </Take>
        {there ? (
          <QuietButton onPress={() => remove.mutate(pictureOf(there.id))}>{say("photograph.remove")}</QuietButton>
        ) : null}
        {removed && !there ? (
          <QuietButton onPress={() => send.mutate(removed)}>{say("photograph.restore")}</QuietButton>
        ) : null}
      </span>
      {problem ? <Small role="alert">{problem}</Small> : null}
    </Frame>
  );
}
