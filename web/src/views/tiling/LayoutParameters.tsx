import { chakra } from '@chakra-ui/react';
import { boardName } from '@sorn/core/tiling';
import { AXES, FIRST_AXES, SIDES, STRIPS, TURNS, WHEN_FULL } from '@sorn/core/values';
import { Figure } from '../../app/Figure.tsx';
import { Section } from '../../app/Section.tsx';
import { Select } from '../../app/Select.tsx';
import { SettingRow } from '../../app/SettingRow.tsx';
import { useBench } from '../../data/bench-context.ts';
import type { TilingEdits } from './edits.ts';
import { Count, Length, Note, Share, Words } from './parameter-rows.tsx';

/** The parameters of the layout in force, each with its keys, where it comes from, and a way back. */
export function LayoutParameters({ edits }: { edits: TilingEdits }) {
  const { layout } = edits.tiling;
  switch (layout.kind) {
    case 'lead':
    case 'middle':
      return (
        <Section
          title="Lead"
          {...(layout.kind === 'middle' && { note: 'in the middle, the rest on both sides' })}
        >
          <Share
            edits={edits}
            label="Share"
            field="leadShare"
            value={layout.leadShare}
            caps={['[', ']']}
          />
          <Count edits={edits} value={layout.leadCount} />
          {layout.kind === 'lead' ? (
            <Words
              edits={edits}
              label="Side"
              field="side"
              value={layout.side}
              words={SIDES}
              caps={['T']}
            />
          ) : (
            <Words
              edits={edits}
              label="Axis"
              field="axis"
              value={layout.axis}
              words={AXES}
              caps={['T']}
            />
          )}
        </Section>
      );
    case 'columns':
    case 'rows':
      return (
        <Section title={layout.kind === 'columns' ? 'Columns' : 'Rows'}>
          <SettingRow
            label="At most"
            origin={edits.originOf('max')}
            onSetBack={edits.setBack('max')}
          >
            {layout.max === undefined ? (
              <chakra.button
                type="button"
                fontFamily="mono"
                fontSize="12px"
                fontStretch="88%"
                fontWeight={600}
                borderBottom="1px dashed"
                borderColor="slate"
                cursor="pointer"
                onClick={() => edits.setLayout('max', 3)}
              >
                no limit
              </chakra.button>
            ) : (
              <Figure
                label={`Most ${layout.kind}`}
                value={layout.max}
                least={1}
                most={1000}
                step={1}
                onChange={(max) => edits.setLayout('max', Math.round(max))}
              />
            )}
          </SettingRow>
          <Note>
            One window each; with a limit the last one holds all that are left. Single ones grow by
            key in Rehearse.
          </Note>
        </Section>
      );
    case 'grid':
      return (
        <Section title="Even grid">
          <SettingRow
            label="Aspect of a cell"
            origin={edits.originOf('cellAspect')}
            onSetBack={edits.setBack('cellAspect')}
          >
            <Figure
              label="Aspect of a cell"
              value={layout.cellAspect}
              least={0.05}
              most={20}
              step={0.1}
              decimals={3}
              onChange={(aspect) => edits.setLayout('cellAspect', aspect)}
            />
          </SettingRow>
          <Note>
            Width divided by height. The grid takes the number of columns that comes nearest to it.
          </Note>
        </Section>
      );
    case 'halving':
      return (
        <Section title="Halving">
          <Share edits={edits} label="Share" field="share" value={layout.share} caps={['[', ']']} />
          <Words
            edits={edits}
            label="First axis"
            field="firstAxis"
            value={layout.firstAxis}
            words={FIRST_AXES}
            caps={['T']}
          />
          <Words edits={edits} label="Goes" field="turn" value={layout.turn} words={TURNS} />
        </Section>
      );
    case 'split':
      return (
        <Section title="Hand-split">
          <Note>
            You make it by key in Rehearse: split-across and split-down say how the next window
            divides the focused one. From another layout they take it over as it stands.
          </Note>
        </Section>
      );
    case 'single':
      return (
        <Section title="One at a time">
          <Words
            edits={edits}
            label="Strip"
            field="strip"
            value={layout.strip}
            words={STRIPS}
            caps={['T']}
          />
          {layout.strip !== 'none' && (
            <Length
              edits={edits}
              label={layout.strip === 'tabs' ? 'Height' : 'Height of a line'}
              name="Strip size"
              field="stripSize"
              value={layout.stripSize}
              least={1}
            />
          )}
        </Section>
      );
    case 'cascade':
      return (
        <Section title="Cascade">
          <Share edits={edits} label="Share" field="share" value={layout.share} caps={['[', ']']} />
          <Length
            edits={edits}
            label="Step"
            name="Step of the cascade"
            field="step"
            value={layout.step}
            least={0}
          />
        </Section>
      );
    case 'board':
      return <BoardParameters edits={edits} />;
    case 'free':
      return (
        <Section title="Free">
          <Note>No tiles: every window floats where it is, and moves only when you move it.</Note>
        </Section>
      );
  }
}

/** Which board arranges the windows, and what becomes of those that find every zone taken. */
function BoardParameters({ edits }: { edits: TilingEdits }) {
  const boards = useBench((bench) => bench.profile.boards);
  const { layout } = edits.tiling;
  if (layout.kind !== 'board') return null;
  return (
    <Section title="Zone board" note="drawn in Zones (3)">
      <SettingRow label="Board" origin={edits.originOf('board')} onSetBack={edits.setBack('board')}>
        <Select
          label="Board"
          value={layout.board ?? ''}
          options={[
            ...(layout.board === undefined ? [{ value: '', text: 'the first that fits' }] : []),
            ...boards.map((board) => ({ value: board.id, text: boardName(board) })),
          ]}
          onChange={(board) => {
            if (board !== '') edits.setLayout('board', board);
          }}
        />
      </SettingRow>
      <Words
        edits={edits}
        label="When every zone is taken"
        field="whenFull"
        value={layout.whenFull}
        words={WHEN_FULL}
      />
      <Note>
        Windows take the next empty zone as they open, and keep it. When all are taken, the rest
        share the last, lie beneath it (stack), or float.
      </Note>
    </Section>
  );
}
