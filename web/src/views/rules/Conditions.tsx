import isEqual from 'fast-deep-equal';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { FACTS, GROUPS, type Fact, type Group, type Rule } from '@sorn/core/model';
import { useEffect, useImperativeHandle, type Ref } from 'react';
import {
  Controller,
  useFieldArray,
  useForm,
  type Control,
  type FieldErrors,
} from 'react-hook-form';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import {
  aboutFact,
  isBlank,
  isChosen,
  rowFault,
  rowsOf,
  TEST_WORDS,
  testsOf,
  valuesOf,
  whenOf,
  type ConditionRow,
  type Test,
} from './condition-rows.ts';
import type { RuleEdits } from './edits.ts';

interface Form {
  rows: ConditionRow[];
}

const GROUP_WORDS: Record<Group, string> = { all: 'all of', any: 'any of', none: 'none of' };
/** What is typed for each way of asking. */
const HINTS: Record<Test, string> = {
  is: 'the very text',
  has: 'a part of it, in any case',
  fits: '* for any text, ? for one character',
  matches: 'a pattern, such as ^Profile \\d+',
  from: 'logical pixels',
  to: 'logical pixels',
  both: '300 to 800',
};
const NEW: ConditionRow = { group: 'all', of: 'app', test: 'is', value: '' };

/** Adds a condition, and goes to it. */
export interface AddsCondition {
  add: () => void;
}

/**
 * When a rule matches. What is typed is taken as soon as all of it is right; until then the rule stays as it
 * was, and what is wrong is told beneath.
 */
export function Conditions(props: { rule: Rule; edits: RuleEdits; handle: Ref<AddsCondition> }) {
  const { rule, edits } = props;
  const form = useForm<Form>({ defaultValues: { rows: rowsOf(rule.when) }, mode: 'onChange' });
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'rows' });

  useEffect(() => {
    // Told only what is typed here: an undo elsewhere is not to be typed over.
    return form.subscribe({
      formState: { values: true },
      callback({ values: { rows } }) {
        const when = whenOf(rows);
        if (when) edits.setWhen(when);
      },
    });
  });
  // An undo, or an edit from elsewhere: what the form says is not the rule any more.
  useEffect(() => {
    const said = whenOf(form.getValues('rows'));
    if (said && !isEqual(said, rule.when)) {
      form.reset({ rows: rowsOf(rule.when) });
    }
  }, [form, rule.when]);

  const add = (group: Group = 'all') => append({ ...NEW, group }, { shouldFocus: false });
  useImperativeHandle(props.handle, () => ({
    add() {
      add();
      setTimeout(() => document.getElementById(`condition-${fields.length}`)?.focus());
    },
  }));

  return (
    <Section title="Match windows where">
      {fields.length === 0 && (
        <chakra.p fontSize="12px" color="slate" pb="4px">
          Without a condition it is about any window.
        </chakra.p>
      )}
      <Flex direction="column" gap="10px">
        {fields.map((field, i) => (
          <RowFields
            key={field.id}
            at={i}
            control={form.control}
            errors={form.formState.errors}
            onRemove={() => remove(i)}
          />
        ))}
      </Flex>
      <Flex mt="8px" align="center" gap="8px">
        <KeyCap>A</KeyCap>
        <TextButton onClick={() => add()}>add a condition</TextButton>
      </Flex>
    </Section>
  );
}

const ValueInput = chakra('input', {
  base: {
    fontFamily: 'mono',
    fontSize: '12px',
    fontStretch: '88%',
    fontWeight: 500,
    bg: 'sheet',
    color: 'ink',
    border: '1px solid',
    borderColor: 'hairline',
    borderRadius: 'edge',
    height: '24px',
    px: '6px',
    minW: 0,
    width: '100%',
    _invalid: { borderColor: 'vermilion' },
  },
});

function RowFields(props: {
  at: number;
  control: Control<Form>;
  errors: FieldErrors<Form>;
  onRemove: () => void;
}) {
  const { at, control } = props;
  const profile = useProfileStore((state) => state.profile);
  const fault = props.errors.rows?.[at]?.message;
  return (
    <Controller
      control={control}
      name={`rows.${at}`}
      rules={{ validate: (row) => isBlank(row) || (rowFault(row) ?? true) }}
      render={({ field: { value: row, onChange } }) => {
        const set = (change: Partial<ConditionRow>) => onChange({ ...row, ...change });
        const values = valuesOf(row.of, profile);
        const label = `Condition ${at + 1}`;
        // Behind the value, so that Tab comes to that first.
        const takeOut = (
          <chakra.button
            type="button"
            aria-label={`Take ${label.toLowerCase()} out`}
            fontSize="14px"
            color="slate"
            px="6px"
            ml="auto"
            cursor="pointer"
            _hover={{ color: 'vermilion' }}
            onClick={props.onRemove}
          >
            ×
          </chakra.button>
        );
        return (
          <Box data-condition={at}>
            <Flex gap="4px" align="center" mb="3px">
              <Select
                label={`${label}, group`}
                value={row.group}
                options={GROUPS.map((group) => ({ value: group, text: GROUP_WORDS[group] }))}
                onChange={(group) => set({ group: group as Group })}
              />
              <Select
                label={`${label}, about`}
                id={`condition-${at}`}
                value={row.of}
                options={FACTS.map((of) => ({ value: of, text: of === 'mode' ? 'desk mode' : of }))}
                onChange={(of) => onChange(aboutFact(row, of as Fact))}
              />
              <Select
                label={`${label}, how`}
                value={row.test}
                options={testsOf(row.of).map((test) => ({ value: test, text: TEST_WORDS[test] }))}
                onChange={(test) => set({ test: test as ConditionRow['test'] })}
              />
              {isChosen(row.of) && (
                <Select
                  label={`${label}, value`}
                  value={row.value}
                  options={values.map((value) => ({ value, text: value }))}
                  onChange={(value) => set({ value })}
                />
              )}
              {isChosen(row.of) && takeOut}
            </Flex>
            {!isChosen(row.of) && (
              <Flex align="center">
                <ValueInput
                  aria-label={`${label}, value`}
                  aria-invalid={fault !== undefined}
                  aria-describedby={fault === undefined ? undefined : `condition-fault-${at}`}
                  autoComplete="off"
                  maxLength={400}
                  list={`condition-values-${at}`}
                  placeholder={HINTS[row.test]}
                  value={row.value}
                  onChange={(event) => set({ value: event.target.value })}
                  onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
                  }}
                />
                <datalist id={`condition-values-${at}`}>
                  {values.map((value) => (
                    <option key={value} value={value} />
                  ))}
                </datalist>
                {takeOut}
              </Flex>
            )}
            {fault !== undefined && (
              <chakra.p
                id={`condition-fault-${at}`}
                role="alert"
                mt="4px"
                fontSize="12px"
                color="vermilion"
              >
                {fault}
              </chakra.p>
            )}
          </Box>
        );
      }}
    />
  );
}
