import { Box, Button, chakra, Grid } from '@chakra-ui/react';
import { profileSchema, read, STARTER_RULES } from '@sorn/core';
import { useForm, type Resolver } from 'react-hook-form';
import { KeyCap } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import demo from '../../../../demo/bulletin-desk.profile.json' with { type: 'json' };
import { useCreateProfile } from '../../data/queries.ts';

interface Wish {
  name: string;
  width: string;
  height: string;
  scale: string;
}

const START: Wish = { name: 'My desk', width: '1920', height: '1080', scale: '1' };

function profileOf({ name, width, height, scale }: Wish) {
  const number = (text: string) =>
    text.trim() === '' ? undefined : Number(text.replace(',', '.'));
  return {
    name,
    // The simulated apps of the demo, so that there is something to open in Rehearse.
    apps: demo.apps,
    rules: STARTER_RULES,
    monitors: [
      {
        id: 'main',
        name: 'Main monitor',
        width: number(width),
        height: number(height),
        scale: number(scale),
      },
    ],
  };
}

/** Checks the wish as the profile it would become, by the file format's own schema. */
const resolver: Resolver<Wish> = (wish) => {
  const result = read(profileSchema, profileOf(wish));
  if (result.ok) return { values: wish, errors: {} };
  const errors = result.faults.map(({ path, right }) => [
    path.split('.').at(-1) ?? path,
    { type: 'fault', message: right },
  ]);
  return { values: {}, errors: Object.fromEntries(errors) };
};

/** A profile with one monitor and the demo's apps; the rest is set up from there. */
export function NewProfile({ onCreated }: { onCreated: (id: string) => void }) {
  const create = useCreateProfile();
  const form = useForm<Wish>({ defaultValues: START, resolver, mode: 'onChange' });
  const submit = form.handleSubmit((wish) =>
    create.mutate([profileOf(wish)], { onSuccess: ({ id }) => onCreated(id) }),
  );
  const { errors } = form.formState;
  return (
    <Section
      title="New profile"
      note={
        <>
          one monitor to begin with <KeyCap>N</KeyCap>
        </>
      }
    >
      <form onSubmit={(event) => void submit(event)} noValidate>
        <Grid templateColumns="2fr 1fr 1fr 1fr" gap="12px" mb="12px">
          <Field label="Name" fault={errors.name?.message} input={form.register('name')} />
          <Field label="Width, px" fault={errors.width?.message} input={form.register('width')} />
          <Field
            label="Height, px"
            fault={errors.height?.message}
            input={form.register('height')}
          />
          <Field label="Scale" fault={errors.scale?.message} input={form.register('scale')} />
        </Grid>
        <Button type="submit" size="sm" borderRadius="edge" loading={create.isPending}>
          Make this profile
        </Button>
        {create.isError && (
          <chakra.p role="alert" color="vermilion" mt="6px">
            {create.error.message}
          </chakra.p>
        )}
      </form>
    </Section>
  );
}

function Field(props: {
  label: string;
  fault: string | undefined;
  input: ReturnType<ReturnType<typeof useForm<Wish>>['register']>;
}) {
  const { fault } = props;
  const id = `new-${props.input.name}`;
  return (
    <Box>
      <chakra.label htmlFor={id} fontSize="12px" color="slate" display="block">
        {props.label}
      </chakra.label>
      <chakra.input
        id={id}
        {...props.input}
        autoComplete="off"
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${id}-fault`}
        width="100%"
        px="8px"
        height="32px"
        bg="sheet"
        border="1px solid"
        borderColor={fault === undefined ? 'hairline' : 'vermilion'}
        borderRadius="edge"
      />
      {fault !== undefined && (
        <chakra.p id={`${id}-fault`} role="alert" color="vermilion" fontSize="12px">
          {fault}
        </chakra.p>
      )}
    </Box>
  );
}
