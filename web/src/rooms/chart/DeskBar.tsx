import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { LAYER_NAMES, type Layer } from '../../parts/analysis/sheet-content.ts';
import { SHOWS } from '../../parts/reading/ShowChoice.tsx';
import { lensLink } from '../../session/lens-store.ts';
import { usePhone } from '../../session/use-media.ts';
import { useReads } from '../../session/use-reads.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import {
  CapoIcon,
  CheckIcon,
  ChosenIcon,
  EditIcon,
  ExportIcon,
  ListIcon,
  NotChosenIcon,
  PartsIcon,
  PrintIcon,
  SendIcon,
  StandIcon,
  TextIcon,
  VersionsIcon,
} from '../../ui/icons.ts';
import { Tick } from '../../ui/Tick.tsx';
import { SignItem, WordMenu } from '../../ui/WordMenu.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import type { DeskSheetName } from './use-desk.ts';

interface DeskBarProps {
  readonly songId: string;
  /** Whether it is only read: then there is nothing to check and to look back at. */
  readonly mayWrite: boolean;
  readonly layer: Layer;
  readonly onLayer: (layer: Layer) => void;
  /** Mistakes to look at before the chart reaches the band. */
  readonly mistakes: number;
  readonly checking: boolean;
  readonly onCheck: () => void;
  readonly onOpen: (sheet: DeskSheetName) => void;
  /** Opens the text, the caret in it. */
  readonly onText: () => void;
  /** How the song is played. */
  readonly children: ReactNode;
}

/** Beside the title: play, what the sheet shows, to whom it goes, and the rest. On a phone all but play is in one menu. */
export function DeskBar(props: DeskBarProps) {
  const isPhone = usePhone();
  return (
    <>
      {props.children}
      {!isPhone && (
        <>
          {(props.mistakes > 0 || props.checking) && props.mayWrite && <Mistakes {...props} />}
          <ShowMenu {...props} />
          <ShareMenu {...props} />
        </>
      )}
      <MoreMenu {...props} isPhone={isPhone} />
    </>
  );
}

/** One mark and one count, while there is something wrong. */
function Mistakes({ mistakes, checking, onCheck }: DeskBarProps) {
  return (
    <Button look="bare" aria-pressed={checking} className="px-2.5! text-alarm! aria-pressed:bg-wash" onClick={onCheck}>
      <CheckIcon size={18} aria-hidden="true" /> {CHART_WORDS.toCheck(mistakes)}
    </Button>
  );
}

/** Numbers, letters, both or Roman numerals, and what of the analysis is laid over the bars. */
function ShowMenu({ layer, onLayer }: DeskBarProps) {
  const { show, setShow } = useReads();
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button look="bare" className="px-2.5!">
          {CHART_WORDS.showMenu} <ListIcon size={16} aria-hidden="true" />
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          aria-label={CHART_WORDS.whatTheSheetShows}
          className="z-30 flex flex-col gap-1 rounded-xl border border-edge bg-raised px-4 py-3 shadow-lg"
        >
          <Choice label={CHART_WORDS.whatTheSheetShows} value={show} options={SHOWS} onChange={setShow} />
          <h3 className="mt-2 text-base font-bold">{CHART_WORDS.overTheBars}</h3>
          {LAYER_NAMES.map(([name, label]) => (
            <Tick key={name} label={label} on={layer[name]} onTick={(next) => onLayer({ ...layer, [name]: next })} />
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function ShareMenu(props: DeskBarProps) {
  return (
    <WordMenu label={CHART_WORDS.share}>
      <ShareItems {...props} />
    </WordMenu>
  );
}

/** Who gets the chart, and how. */
function ShareItems({ songId, mayWrite, onOpen }: DeskBarProps) {
  const navigate = useNavigate();
  return (
    <>
      {mayWrite && <SignItem icon={SendIcon} label={CHART_WORDS.sendThisChart} onPress={() => onOpen('send')} />}
      <SignItem icon={StandIcon} label={CHART_WORDS.onTheStand} onPress={() => void navigate(lensLink(`/songs/${songId}/stand`))} />
      <SignItem icon={PrintIcon} label={CHART_WORDS.print} onPress={() => onOpen('print')} />
      {mayWrite && (
        <SignItem icon={PartsIcon} label={CHART_WORDS.partsForEveryone} onPress={() => void navigate(`/songs/${songId}/band/files`)} />
      )}
      <SignItem icon={ExportIcon} label={CHART_WORDS.exportForOtherPrograms} onPress={() => onOpen('export')} />
    </>
  );
}

/** What may be done with the whole chart; on a phone what it shows and who gets it as well. */
function MoreMenu(props: DeskBarProps & { readonly isPhone: boolean }) {
  const { mayWrite, mistakes, onCheck, onOpen, onText, isPhone } = props;
  const { show, setShow } = useReads();
  return (
    <WordMenu label={CHART_WORDS.more}>
      {isPhone && <ShareItems {...props} />}
      <SignItem icon={CapoIcon} label={CHART_WORDS.whereToPutACapo} onPress={() => onOpen('capo')} />
      {mayWrite && (
        <>
          <SignItem icon={EditIcon} label={CHART_WORDS.details} onPress={() => onOpen('details')} />
          <SignItem icon={VersionsIcon} label={CHART_WORDS.versions} onPress={() => onOpen('versions')} />
          <SignItem icon={TextIcon} label={CHART_WORDS.editAsText} onPress={onText} />
          <SignItem icon={CheckIcon} label={mistakes === 0 ? CHART_WORDS.check : CHART_WORDS.toCheck(mistakes)} onPress={onCheck} />
        </>
      )}
      {isPhone &&
        SHOWS.map(([value, label]) => (
          <SignItem
            key={value}
            icon={value === show ? ChosenIcon : NotChosenIcon}
            label={CHART_WORDS.show(label)}
            onPress={() => setShow(value)}
          />
        ))}
    </WordMenu>
  );
}
