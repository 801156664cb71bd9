import { say } from "../../lib/say";
import { useNavigate } from "react-router";
import { ClientPicker } from "./ClientPicker";

/** Finds a client and opens their page. */
export function ClientFinder({ autoFocus = false }: { autoFocus?: boolean }) {
  const navigate = useNavigate();
  return (
    <ClientPicker
      label={say("clientFinder.label")}
      autoFocus={autoFocus}
      onPick={(id) => void navigate(`/clients/${id}`)}
    />
  );
}
