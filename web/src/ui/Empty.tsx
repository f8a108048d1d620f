import { Link } from 'react-router';
import { Heading } from './Heading.tsx';

interface Props {
  readonly title: string;
  readonly text?: string;
  /** It stands for a whole screen, and is its heading. */
  readonly isPage?: boolean;
  readonly next?: { readonly to: string; readonly text: string };
}

/** Nothing to show: says why, and what to do next. */
export function Empty({ title, text, isPage = false, next }: Props) {
  return (
    <div className="m-6 max-w-prose border border-line bg-panel p-6">
      {isPage ? (
        <Heading title={[title]} className="text-[20px]">
          {title}
        </Heading>
      ) : (
        <h2 className="text-[20px]">{title}</h2>
      )}
      {text === undefined ? null : <p className="mt-2 text-quiet">{text}</p>}
      {next ? (
        <Link
          className="figure mt-4 inline-flex min-h-11 items-center border border-ink/60 px-4"
          to={next.to}
        >
          {next.text}
        </Link>
      ) : null}
    </div>
  );
}
