import { useState } from 'react';
import { TOOLS, type PlanAsk, type Tool } from '@calvetta/core';
import { SelectField } from '../../forms/fields.tsx';
import { Button } from '../../ui/Button.tsx';

interface Props {
  readonly ask: PlanAsk;
  readonly onTry: (ask: PlanAsk, what: string) => void;
}
type Choice = Tool | 'routes';
const WORDS: Readonly<Record<Choice, string>> = {
  routes: 'as the routes say',
  gun: 'gun',
  brush: 'brush',
  roller: 'roller',
  aerosol: 'aerosol',
};

/** What if coats were laid on with something else, where their sheets allow it: the plan with it beside the plan without. */
export function ToolForm({ ask, onTry }: Props) {
  const [tool, setTool] = useState<Choice>(ask.tool ?? 'brush');
  const store = (): void =>
    onTry({ ...ask, tool: tool === 'routes' ? null : tool }, `coats laid by: ${WORDS[tool]}`);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        store();
      }}
    >
      <SelectField
        label="What if coats are laid by"
        hint="where the sheet allows it; the film is taken to be the same"
        value={tool}
        options={(['routes', ...TOOLS] as const).map((value) => ({ value, text: WORDS[value] }))}
        onChange={setTool}
      />
      <Button type="submit">Try it</Button>
    </form>
  );
}
