import { type Finding, faultWords, findingWords, type Problem, type QuickFix, quickFix } from '@aurora/core';
import { Button } from '../../ui/Button.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

interface ChecksListProps {
  readonly text: string;
  readonly problems: readonly Problem[];
  readonly findings: readonly Finding[];
  readonly onProblem: (problem: Problem) => void;
  readonly onFinding: (finding: Finding) => void;
  readonly onFix: (fix: QuickFix) => void;
  /** Bars that could not be read, and what goes to the next of them. */
  readonly unread: number;
  readonly onNextUnread: () => void;
}

const MOST_LISTED = 40;

/** What to look at before the chart reaches the band: what the text gets wrong, and what may not be meant. Each is a press away. */
export function ChecksList({ text, problems, findings, onProblem, onFinding, onFix, unread, onNextUnread }: ChecksListProps) {
  const count = problems.length + findings.length;
  if (count === 0) return <p className="px-4 py-3 text-base text-quiet">{CHART_WORDS.nothingToLookAtTheChart}</p>;
  return (
    <section aria-label={CHART_WORDS.problems}>
      <h2 className="px-4 pt-2 text-fine font-semibold text-quiet">
        {count === 1 ? CHART_WORDS.onePlaceToLookAt : CHART_WORDS.placesToLookAt(count)}
      </h2>
      {unread > 0 && (
        <Button className="mx-4 my-1" onClick={onNextUnread}>
          {CHART_WORDS.theNextBarThatIsNotRead(unread)}
        </Button>
      )}
      <ul>
        {problems.slice(0, MOST_LISTED).map((problem) => (
          <li key={`${problem.fault.code} ${problem.at.line} ${problem.at.column}`} className="flex items-start">
            <button
              type="button"
              onClick={() => onProblem(problem)}
              className="flex min-h-10 flex-1 gap-2 px-4 py-2 text-left text-fine leading-snug hover:bg-wash"
            >
              <span className={`shrink-0 font-semibold ${problem.severity === 'error' ? 'text-alarm' : 'text-quiet'}`}>
                {CHART_WORDS.line} {problem.at.line}
              </span>
              {faultWords(problem.fault)}
            </button>
            <Fix problem={problem} text={text} onFix={onFix} />
          </li>
        ))}
        {findings.slice(0, MOST_LISTED).map((finding) => (
          <li key={`${finding.code} ${finding.bar}`}>
            <button
              type="button"
              onClick={() => onFinding(finding)}
              className="music-glyph flex min-h-10 w-full gap-2 px-4 py-2 text-left text-fine leading-snug hover:bg-wash"
            >
              <span className={`shrink-0 font-semibold ${finding.code === 'chord-unexplained' ? 'text-alarm' : 'text-quiet'}`}>
                {CHART_WORDS.bar} {finding.bar + 1}
              </span>
              {findingWords(finding)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Fix({ problem, text, onFix }: { readonly problem: Problem; readonly text: string; readonly onFix: (fix: QuickFix) => void }) {
  const fix = quickFix(problem, text);
  if (fix === undefined) return null;
  return (
    <Button look="bare" className="mt-0.5 mr-1 shrink-0 px-2 text-fine text-accent" onClick={() => onFix(fix)}>
      {CHART_WORDS.write} {fix.write.trim().slice(0, 16)}
    </Button>
  );
}
