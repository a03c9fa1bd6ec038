import { chakra } from '@chakra-ui/react';
import type { Ref } from 'react';

/** A choice of files; the same file can be chosen again after it was changed. */
export function FileInput(props: {
  label: string;
  accept?: string;
  isMultiple?: boolean;
  inputRef: Ref<HTMLInputElement>;
  onFiles: (files: FileList | null) => void;
}) {
  const { label, accept, isMultiple, inputRef, onFiles } = props;
  return (
    <chakra.input
      ref={inputRef}
      type="file"
      aria-label={label}
      accept={accept}
      multiple={isMultiple}
      fontSize="13px"
      minW="0"
      css={{
        '&::file-selector-button': {
          px: '10px',
          py: '3px',
          mr: '10px',
          border: '1px solid',
          borderColor: 'ink',
          borderRadius: 'edge',
          bg: 'transparent',
          cursor: 'pointer',
        },
      }}
      onChange={(event) => {
        onFiles(event.target.files);
        // The keys of the page work again at once.
        event.target.blur();
      }}
      onClick={(event) => {
        event.currentTarget.value = '';
      }}
    />
  );
}
