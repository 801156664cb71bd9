import { createContext, type ReactNode, useContext } from "react";

/** What a shared tablet can do: be locked, or be handed to a client with one thing to see. */
export type TabletActions = { lock: () => void; handOver: (shown: ReactNode) => void };

export const TabletContext = createContext<TabletActions>({ lock: () => undefined, handOver: () => undefined });

export const useTablet = (): TabletActions => useContext(TabletContext);
