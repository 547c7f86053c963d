import { chartOfReduction, reductionXml } from '@aurora/core/format';
import { Link } from 'react-router';
import { useAddSong } from '../../../api/songs.ts';
import { fileName, saveFile } from '../../../parts/paper/save-file.ts';
import { engraverEngine } from '../../../parts/score/score-engine.ts';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { ChartIcon, ExportIcon, PrintIcon } from '../../../ui/icons.ts';
import { sayFault } from '../../../ui/say.ts';
import { SCORE_WORDS } from '../../../wording/score.ts';
import type { ScorePartProps } from './score-part.ts';

const PAPER_WIDTH = 1000;
const PAPER_SCALE = 45;

/** What can be taken away: a number chart, and the reduced staff with its analysis. */
export function OutPart({ work, depth }: ScorePartProps) {
  const add = useAddSong();
  const { reduction, value } = work;
  const named = { ...reduction, score: { ...reduction.score, title: value.title || reduction.score.title } };
  const make = () =>
    add.mutate(chartOfReduction(named, depth), {
      onSuccess: ({ id }) => work.change({ songId: id }),
      onError: (error) => void sayFault(error.message),
    });
  const pages = async () => {
    const engraver = engraverEngine();
    const count = await engraver.layOut({ xml: reductionXml(named), width: PAPER_WIDTH, scale: PAPER_SCALE });
    return Promise.all(Array.from({ length: count }, (_, place) => engraver.page(place + 1)));
  };
  const saveSvg = () =>
    void pages().then((svgs) =>
      svgs.forEach((svg, place) => {
        const number = svgs.length > 1 ? ` ${place + 1}` : '';
        saveFile(fileName(`${value.title}${number}`, 'svg'), new Blob([svg], { type: 'image/svg+xml' }));
      }),
    );
  const saveXml = () =>
    saveFile(fileName(value.title, 'musicxml'), new Blob([reductionXml(named)], { type: 'application/vnd.recordare.musicxml+xml' }));
  return (
    <div className="flex flex-wrap items-center gap-2">
      {value.songId === null ? (
        <Button look="strong" disabled={add.isPending} onClick={make}>
          <ChartIcon size={17} aria-hidden="true" /> {SCORE_WORDS.makeTheChart}
        </Button>
      ) : (
        <>
          <span className="text-base text-quiet">{SCORE_WORDS.theChartIsOnTheShelf}</span>
          <Link to={`/songs/${value.songId}/chart`} className={buttonLook('strong')}>
            {SCORE_WORDS.openItsChart}
          </Link>
        </>
      )}
      <Button onClick={() => void pages().then(printPages)}>
        <PrintIcon size={17} aria-hidden="true" /> {SCORE_WORDS.printTheReduction}
      </Button>
      <Button onClick={saveSvg}>
        <ExportIcon size={17} aria-hidden="true" /> {SCORE_WORDS.reductionAsSvg}
      </Button>
      <Button onClick={saveXml}>
        <ExportIcon size={17} aria-hidden="true" /> {SCORE_WORDS.reductionAsMusicXml}
      </Button>
    </div>
  );
}

/** Prints pages by themselves, out of a frame that goes when they are printed. */
function printPages(svgs: readonly string[]): void {
  const frame = document.createElement('iframe');
  frame.className = 'sr-only';
  frame.title = SCORE_WORDS.printTheReduction;
  document.body.append(frame);
  const page = frame.contentDocument;
  if (page === null) return;
  for (const svg of svgs) {
    const picture = page.importNode(new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement, true);
    picture.setAttribute('width', '100%');
    page.body.append(picture);
  }
  frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
  frame.contentWindow?.print();
}
