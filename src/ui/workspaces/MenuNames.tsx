import Button from '@mui/material/Button';
import type { CommandId } from '@/core/program/program';
import type { menusOf } from '@/core/tryout/menus';
import type { Ink } from '@/core/workspace/dressing';
import { InkMark } from '../room/InkMark';
import styles from './workspaces.module.css';

type Props = {
  readonly menus: ReturnType<typeof menusOf>;
  readonly hidden: ReadonlySet<CommandId>;
  readonly marks: ReadonlyMap<CommandId, Ink>;
  /** The menu that is shown; null where all are searched. */
  readonly at: number | null;
  readonly onGo: (at: number) => void;
};

/** The menus of the program, with the inks in them and how many of their lines are hidden. */
export function MenuNames({ menus, hidden, marks, at, onGo }: Props) {
  return (
    <nav className={styles.menuNames} aria-label="Menus">
      {menus.map((menu, i) => {
        const ids = menu.lines.flatMap((one) => ('command' in one ? [one.command.id] : []));
        const away = ids.filter((one) => hidden.has(one)).length;
        const inks = [...new Set(ids.flatMap((one) => marks.get(one) ?? []))];
        return (
          <Button key={menu.name} variant="line" aria-current={i === at ? 'true' : undefined} onClick={() => onGo(i)}>
            <span className={styles.lineName}>{menu.name}</span>
            {inks.map((one) => (
              <InkMark key={one} ink={one} size={10} />
            ))}
            {away > 0 && <small className="soft">{away} hidden</small>}
          </Button>
        );
      })}
    </nav>
  );
}
