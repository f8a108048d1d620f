import { create } from 'zustand';

/** The question who does it was closed without an answer. */
export class NobodyNamed extends Error {}

interface Who {
  /** Answers the question that is open; null: none is. */
  readonly answer: ((personId: string | null) => void) | null;
}
export const useWho = create<Who>()(() => ({ answer: null }));

/** Asks whoever holds the device for a name. Throws `NobodyNamed` where the question is closed. */
export function askWho(): Promise<string> {
  useWho.getState().answer?.(null);
  return new Promise((done, fail) =>
    useWho.setState({
      answer: (personId) => {
        useWho.setState({ answer: null });
        if (personId === null) fail(new NobodyNamed('nobody was named'));
        else done(personId);
      },
    }),
  );
}
