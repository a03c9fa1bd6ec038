import { Box, chakra } from '@chakra-ui/react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { tableStyle } from '../../ui/table-style.ts';
import type { BackupFile } from '@sorn/api';
import { dateText } from '../../ui/date-text.ts';

const WHY: Record<BackupFile['why'], string> = {
  start: 'at a start',
  asked: 'asked for',
  'before-restore': 'before a restore',
  'before-delete': 'before a deletion',
};

const size = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1 });

/** The backups in the server's folder, newest first. */
export function BackupTable(props: {
  backups: readonly BackupFile[];
  isKnown: boolean;
  at: number;
  onAt: (at: number) => void;
}) {
  const { backups, isKnown, at, onAt } = props;
  if (isKnown && backups.length === 0) {
    return (
      <chakra.p>
        No backup yet. <KeyCap>N</KeyCap> makes one now; one is made at each start of the server
        when something changed.
      </chakra.p>
    );
  }
  return (
    <Box flex="1" minH="0" overflow="auto" tabIndex={0} role="region" aria-label="Backups">
      <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
        <thead>
          <tr>
            <th>Made</th>
            <th>Why</th>
            <th>File</th>
            <th>Size</th>
          </tr>
        </thead>
        <tbody>
          {backups.map(({ name, why, madeAt, bytes }, i) => (
            <chakra.tr
              key={name}
              data-backup={name}
              data-selected={i === at}
              aria-current={i === at}
              cursor="pointer"
              onClick={() => onAt(i)}
            >
              <chakra.td fontWeight={600}>{dateText(madeAt)}</chakra.td>
              <td>{WHY[why]}</td>
              <chakra.td color="slate">{name}</chakra.td>
              <td className="figure">{size.format(bytes / 1024)} kB</td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
