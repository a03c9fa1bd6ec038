import { chakra } from '@chakra-ui/react';
import type { Measures, MissedShare } from '@sorn/core/engine';
import { zoneBoardName, definitionOfLayout } from '@sorn/core/tiling';
import {
  percentsText,
  readLength,
  readShare,
  readWeights,
  shareText,
  type LengthScale,
  type Parameter,
  type ParameterKind,
} from '@sorn/core/values';
import type { ReactNode, Ref } from 'react';
import { Figure, type FigureProps } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { ChoiceSetting, SettingRow, SettingSlider } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { TilingEdits } from './edits.ts';
import { mainParameter, shownParameters, type ParameterField } from './shown-parameters.ts';

interface RowProps {
  edits: TilingEdits;
  measures: Measures;
  scale: LengthScale;
  /** Of the figure that a key goes to; the first one of the layout has it. */
  mainInput?: Ref<HTMLInputElement>;
  field: ParameterField;
  parameter: Parameter;
  value: unknown;
  caps?: readonly string[];
}

/** The parameters of the layout in force, each with its keys, where it comes from, and a way back. */
export function LayoutParameters(
  props: Pick<RowProps, 'edits' | 'measures' | 'scale' | 'mainInput'>,
) {
  const { mainInput, ...others } = props;
  const { edits } = props;
  const { layout } = edits.tiling;
  const { form, turn } = definitionOfLayout(layout);
  const turned = turn && 'field' in turn ? turn.field : null;
  const shown = shownParameters(layout);
  const main = mainParameter(layout);
  return (
    <Section title={form.title} {...(form.note !== undefined && { note: form.note })}>
      {shown.map(({ field, parameter }) => {
        const Row = ROWS[parameter.of];
        const isMain = parameter === main;
        const own = field === turned ? ['T'] : CAPS[parameter.of];
        const caps = isMain ? [...(own ?? []), 'E'] : own;
        return (
          <Row
            key={field}
            {...others}
            {...(isMain && mainInput && { mainInput })}
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

const CAPS: Partial<Record<ParameterKind, readonly string[]>> = {
  share: ['[', ']'],
  count: [';', "'"],
};

/** How a parameter of each kind is set. */
const ROWS: Record<ParameterKind, (props: RowProps) => ReactNode> = {
  share: ShareRow,
  count: (props) => <FigureRow {...props} least={1} most={1000} step={1} isWhole />,
  limit: LimitRow,
  choice: ChoiceRow,
  ratio: (props) => <FigureRow {...props} least={0.05} most={20} step={0.1} decimals={3} />,
  length: (props) => (
    <FigureRow
      {...props}
      least={leastOf(props)}
      most={10_000}
      step={1}
      decimals={2}
      unit="px"
      read={(typed) => readLength(typed, props.scale)}
    />
  ),
  board: BoardRow,
  weights: WeightsRow,
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
    read?: FigureProps['read'];
  },
) {
  const { edits, field, parameter, value, least, most, step, decimals, unit, read } = props;
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
        {...(read && { read })}
        {...(props.mainInput && { inputRef: props.mainInput })}
        onChange={(figure) => edits.setLayout(field, props.isWhole ? Math.round(figure) : figure)}
      />
    </Row>
  );
}

/** A share, as a figure and on a slider. */
function ShareRow(props: RowProps) {
  const { edits, field, parameter, value, measures } = props;
  return (
    <>
      <FigureRow
        {...props}
        least={0}
        most={1}
        step={0.01}
        decimals={4}
        read={(typed) => readShare(typed, measures.shareLength)}
      />
      {field === 'leadShare' && measures.missed && <MissedShareText missed={measures.missed} />}
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

/** That the lead has not the share it was given, and why. */
function MissedShareText({ missed }: { missed: MissedShare }) {
  const windows = useProfileStore((state) => state.session.windows);
  const titles = missed.smallest.map((id) => windows.find((each) => each.id === id)?.title ?? id);
  const why =
    titles.length === 0
      ? 'the least sizes of windows leave no more'
      : `${titles.join(' and ')} can be no smaller`;
  return (
    <chakra.p role="status" fontSize="12px" color="vermilion">
      Drawn at {shareText(missed.drawn)}: {why}.
    </chakra.p>
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

const MOST_WEIGHTS = 100;

/** The weights of columns or rows, one after the other; none where all are alike. */
function WeightsRow(props: RowProps) {
  const { edits, field, parameter } = props;
  const weights = props.value as readonly number[];
  return (
    <>
      <Row {...props}>
        <chakra.span width="130px">
          <TextField
            label={parameter.name}
            value={weights.join(' ')}
            placeholder="all alike"
            isFigure
            {...(props.mainInput && { inputRef: props.mainInput })}
            faultOf={(text) => {
              const reading = text === '' ? null : readWeights(text, MOST_WEIGHTS);
              return reading && 'expected' in reading ? reading.expected : null;
            }}
            onChange={(text) => {
              const reading = readWeights(text, MOST_WEIGHTS);
              edits.setLayout(field, 'weights' in reading ? reading.weights : []);
            }}
          />
        </chakra.span>
      </Row>
      {weights.length > 1 && (
        <chakra.p fontSize="12px" color="slate" textAlign="right">
          {percentsText(weights)}
        </chakra.p>
      )}
    </>
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
