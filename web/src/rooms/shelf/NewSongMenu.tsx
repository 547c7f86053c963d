import { useNavigate } from 'react-router';
import { useBeginSong } from '../../api/songs.ts';
import { NEW_SONG } from '../../parts/song/shelf-view.ts';
import { Button } from '../../ui/Button.tsx';
import { AddIcon, EditIcon, HarmonizeIcon, type Icon, ImportIcon } from '../../ui/icons.ts';
import { keepEarlyKeys } from '../../ui/keyboard/early-keys.ts';
import { MenuItem } from '../../ui/MenuItem.tsx';
import { sayFault } from '../../ui/say.ts';
import { ButtonMenu } from '../../ui/WordMenu.tsx';
import { SHELF_WORDS } from '../../wording/shelf.ts';

/** The ways to a new song: its chords pressed, its bars written, or what somebody has already. */
export function NewSongMenu() {
  const add = useBeginSong();
  const navigate = useNavigate();
  const write = () => {
    // who writes at once is not made to wait for the page
    keepEarlyKeys();
    add.mutate(NEW_SONG, {
      onSuccess: (id) => void navigate(`/songs/${id}/chart`),
      onError: (error) => void sayFault(error.message),
    });
  };
  const trigger = (
    <Button look="strong" aria-label={SHELF_WORDS.newSong} disabled={add.isPending}>
      <AddIcon size={19} aria-hidden="true" /> <span className="phone:hidden">{SHELF_WORDS.newSong}</span>
      <span className="hidden phone:inline">{SHELF_WORDS.newShort}</span>
    </Button>
  );
  return (
    <ButtonMenu
      trigger={trigger}
      className="w-80 max-w-[calc(100vw-1rem)]"
      onCloseAutoFocus={(event) => add.isPending && event.preventDefault()}
    >
      <Way icon={HarmonizeIcon} name={SHELF_WORDS.playIt} about={SHELF_WORDS.aboutPlayIt} onPress={() => void navigate('/begin')} />
      <Way icon={EditIcon} name={SHELF_WORDS.writeIt} about={SHELF_WORDS.aboutWriteIt} onPress={write} />
      <Way icon={ImportIcon} name={SHELF_WORDS.import} about={SHELF_WORDS.aboutImport} onPress={() => void navigate('/band/files')} />
    </ButtonMenu>
  );
}

interface WayProps {
  readonly icon: Icon;
  readonly name: string;
  readonly about: string;
  readonly onPress: () => void;
}

function Way({ icon: WayIcon, name, about, onPress }: WayProps) {
  return (
    <MenuItem onPress={onPress}>
      <WayIcon size={20} aria-hidden="true" className="shrink-0 text-accent" />
      <span className="py-1.5">
        <span className="block font-semibold">{name}</span>
        <span className="block text-fine text-quiet">{about}</span>
      </span>
    </MenuItem>
  );
}
