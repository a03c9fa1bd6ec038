import { chakra, Flex } from '@chakra-ui/react';
import { useState, type Ref } from 'react';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useCreateProfile } from '../../state/queries.ts';

/** A profile from a file that has a whole one, such as was saved in Files on another machine. */
export function ProfileFromFile(props: {
  inputRef: Ref<HTMLInputElement>;
  onCreated: (id: string) => void;
}) {
  const create = useCreateProfile();
  const [faults, setFaults] = useState<readonly string[]>([]);

  async function take(files: FileList | null) {
    const chosen = files?.[0];
    if (!chosen) return;
    // What reads files is not needed before there is one.
    const { readChosenFile } = await import('../../state/chosen-file.ts');
    const { name, file, faults: found, text } = await readChosenFile(chosen);
    if (!file) setFaults(found);
    else if (!file.isWhole) {
      setFaults([
        `${name}: it has no monitors; expected a whole profile. Sections are brought in from Files.`,
      ]);
    } else {
      setFaults([]);
      create.mutate([file.profile, text ?? undefined], {
        onSuccess: ({ id }) => props.onCreated(id),
      });
    }
  }
  const all = create.isError ? [create.error.message] : faults;
  return (
    <>
      <Flex align="center" gap="8px" mt="12px" fontSize="13px">
        From a file <KeyCap>F</KeyCap>
        <FileInput
          label="Profile file"
          accept=".yaml,.yml,.toml,.json"
          inputRef={props.inputRef}
          onFiles={(files) => void take(files)}
        />
      </Flex>
      {all.length > 0 && (
        <chakra.ul role="alert" color="vermilion" fontSize="13px" mt="6px">
          {all.slice(0, 8).map((fault) => (
            <chakra.li key={fault} listStyleType="none">
              {fault}
            </chakra.li>
          ))}
        </chakra.ul>
      )}
    </>
  );
}
