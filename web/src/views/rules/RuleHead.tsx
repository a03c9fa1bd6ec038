import { countText } from '@sorn/core/values';
import { chakra, Flex } from '@chakra-ui/react';
import type { Rule } from '@sorn/core/model';
import { ruleSentence } from '@sorn/core/rules';
import type { Ref } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import type { RuleEdits } from './edits.ts';
import { useNamedRule } from './named-rule.ts';
import { RuleSentence } from './RuleSentence.tsx';

/** The selected rule as one sentence, what was found about it, and its name. */
export function RuleHead(props: {
  rule: Rule;
  at: number;
  matches: number;
  found: readonly string[];
  edits: RuleEdits;
  nameInput: Ref<HTMLInputElement>;
}) {
  const { rule, at, matches, found, edits } = props;
  const named = useNamedRule(rule);
  const windows = `matches ${countText(matches, 'window')}`;
  return (
    <Section title={`Rule ${at + 1}`} note={`${rule.on ? 'on' : 'off'}, ${windows}`}>
      <chakra.p fontSize="14px" lineHeight="1.5" mb="8px" data-sentence>
        <RuleSentence words={ruleSentence(named)} />
      </chakra.p>
      {found.map((text) => (
        <chakra.p key={text} fontSize="12px" color="vermilion" mb="6px" data-rule-finding>
          ▲ {text}
        </chakra.p>
      ))}
      <SettingRow label="Name" caps={['Enter']}>
        <TextField
          key={rule.id}
          label="Name of the rule"
          value={rule.name ?? ''}
          placeholder="none"
          inputRef={props.nameInput}
          onChange={edits.rename}
        />
      </SettingRow>
      <Flex gap="12px" mt="6px" align="center" fontSize="12px" color="slate">
        <span>
          <KeyCap>O</KeyCap>{' '}
          <TextButton onClick={() => edits.toggle()}>
            {rule.on ? 'switch off' : 'switch on'}
          </TextButton>
        </span>
        <span>
          <KeyCap>U</KeyCap> <TextButton onClick={edits.duplicate}>duplicate</TextButton>
        </span>
        <span>
          <KeyCap>Delete</KeyCap> <TextButton onClick={edits.remove}>delete</TextButton>
        </span>
      </Flex>
    </Section>
  );
}
