import { textField } from '../values/fields.ts';

/** What a connected device tells of itself. */
export const identityFields = {
  maker: textField.exactOptional(),
  model: textField.exactOptional(),
  serial: textField.exactOptional(),
};
