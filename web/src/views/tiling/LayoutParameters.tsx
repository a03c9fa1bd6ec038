import { chakra } from '@chakra-ui/react';
import { zoneBoardName, definitionOfLayout } from '@sorn/core/tiling';
import {
  parametersOf,
  type LayoutField,
  type Parameter,
  type ParameterKind,
} from '@sorn/core/values';
import type { ReactNode } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { ChoiceSetting, SettingRow, SettingSlider } from '../../ui/SettingRow.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { TilingEdits } from './edits.ts';

interface RowProps {
  edits: TilingEdits;
  field: Exclude<LayoutField, 'kind'>;
  parameter: Parameter;
  value: unknown;
  caps?: readonly string[];
}

/** The parameters of the layout in force, each with its keys, where it comes from, and a way back. */
export function LayoutParameters({ edits }: { edits: TilingEdits }) {
  const { layout } = edits.tiling;
  const { form, turn } = definitionOfLayout(layout);
  const turned = turn && 'field' in turn ? turn.field : null;
  const shown = Object.entries(parametersOf(layout.kind))
    .map(([name, parameter]) => ({ field: name as RowProps['field'], parameter }))
    .filter(({ field, parameter }) => ROWS[parameter.of] && !form.hides?.[field]?.(layout))
    .sort((a, b) => rankOf(a.parameter) - rankOf(b.parameter));
  return (
    <Section title={form.title} {...(form.note !== undefined && { note: form.note })}>
      {shown.map(({ field, parameter }) => {
        const Row = ROWS[parameter.of]!;
        const caps = field === turned ? ['T'] : CAPS[parameter.of];
        return (
          <Row
            key={field}
            edits={edits}
            field={field}
            parameter={parameter}
            value={(layout as Record<string, unknown>)[field]}
            {...(caps && { caps })}
          />
        );
      })}
      {form.says !== undefined && (
        <chakra.p fontSize="12px" color="slate">
          {form.says}
        </chakra.p>
      )}
    </Section>
  );
}

/** What has keys of its own comes first. */
const rankOf = ({ of }: Parameter) => (of === 'share' ? 0 : of === 'count' ? 1 : 2);
const CAPS: Partial<Record<ParameterKind, readonly string[]>> = {
  share: ['[', ']'],
  count: [';', "'"],
};

/** How a parameter of each kind is set; null where it is moved by key in Rehearse alone. */
const ROWS: Record<ParameterKind, ((props: RowProps) => ReactNode) | null> = {
  share: ShareRow,
  count: (props) => <FigureRow {...props} least={1} most={1000} step={1} isWhole />,
  limit: LimitRow,
  choice: ChoiceRow,
  ratio: (props) => <FigureRow {...props} least={0.05} most={20} step={0.1} decimals={3} />,
  length: (props) => (
    <FigureRow {...props} least={leastOf(props)} most={10_000} step={1} decimals={2} unit="px" />
  ),
  board: BoardRow,
  weights: null,
};

/** 0, or 1 where nothing would be seen of it otherwise. */
function leastOf({ parameter }: RowProps): number {
  return parameter.schema.safeParse(0).success ? 0 : 1;
}

function Row(props: RowProps & { children: ReactNode }) {
  const { edits, field, parameter, caps } = props;
  return (
    <SettingRow
      label={parameter.label}
      {...(caps && { caps })}
      origin={edits.originOf(field)}
      onSetBack={edits.setBack(field)}
    >
      {props.children}
    </SettingRow>
  );
}

function FigureRow(
  props: RowProps & {
    least: number;
    most: number;
    step: number;
    decimals?: number;
    unit?: string;
    isWhole?: boolean;
  },
) {
  const { edits, field, parameter, value, least, most, step, decimals, unit } = props;
  return (
    <Row {...props}>
      <Figure
        label={parameter.name}
        value={value as number}
        least={least}
        most={most}
        step={step}
        {...(decimals !== undefined && { decimals })}
        {...(unit !== undefined && { unit })}
        onChange={(figure) => edits.setLayout(field, props.isWhole ? Math.round(figure) : figure)}
      />
    </Row>
  );
}

/** A share, as a figure and on a slider. */
function ShareRow(props: RowProps) {
  const { edits, field, parameter, value } = props;
  return (
    <>
      <FigureRow {...props} least={0} most={1} step={0.01} decimals={4} />
      <SettingSlider
        label={parameter.name}
        value={value as number}
        least={0.05}
        most={0.95}
        step={0.01}
        onChange={(share) => edits.setLayout(field, share)}
      />
    </>
  );
}

/** A count that there may be no limit of. */
function LimitRow(props: RowProps) {
  const { edits, field, value } = props;
  if (value !== undefined) {
    return <FigureRow {...props} least={1} most={1000} step={1} isWhole />;
  }
  return (
    <Row {...props}>
      <chakra.button
        type="button"
        fontFamily="mono"
        fontSize="12px"
        fontStretch="88%"
        fontWeight={600}
        borderBottom="1px dashed"
        borderColor="slate"
        cursor="pointer"
        onClick={() => edits.setLayout(field, 3)}
      >
        no limit
      </chakra.button>
    </Row>
  );
}

function ChoiceRow({ edits, field, parameter, value, caps }: RowProps) {
  return (
    <ChoiceSetting
      label={parameter.label}
      {...(caps && { caps })}
      origin={edits.originOf(field)}
      onSetBack={edits.setBack(field)}
      value={value as string}
      options={(parameter.options ?? []).map((word) => ({ value: word, text: word }))}
      onChange={(word) => edits.setLayout(field, word)}
    />
  );
}

/** Which board arranges the windows. */
function BoardRow(props: RowProps) {
  const { edits, field, parameter, value } = props;
  const boards = useProfileStore((state) => state.profile.boards);
  return (
    <Row {...props}>
      <Select
        label={parameter.label}
        value={(value as string | undefined) ?? ''}
        options={[
          ...(value === undefined ? [{ value: '', text: 'the first that fits' }] : []),
          ...boards.map((board) => ({ value: board.id, text: zoneBoardName(board) })),
        ]}
        onChange={(board) => {
          if (board !== '') edits.setLayout(field, board);
        }}
      />
    </Row>
  );
}
