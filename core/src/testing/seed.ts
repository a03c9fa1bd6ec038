// The generated tests of a run begin from one seed, so that a run that fails fails again: FUZZ_SEED sets another.
import fc from 'fast-check';

fc.configureGlobal({
  ...fc.readConfigureGlobal(),
  seed: Number(process.env['FUZZ_SEED'] ?? 1),
});
