/** What every form hands over: its body, with a reason where one is needed, and what was on the page. */
export type SubmitBody = (body: Record<string, unknown>, evidence?: Record<string, unknown>) => void;
