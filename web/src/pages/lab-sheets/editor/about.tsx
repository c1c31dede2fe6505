import type { ReactNode } from 'react';
import { LinesField, TextArea, TextField } from './fields.tsx';

/** What the laboratory is about, what is needed, and what to take care of. */
export function About(): ReactNode {
  return (
    <div className="flex flex-col gap-5">
      <TextField name="title" label="Title" hint="As it stands in the list of laboratories." />
      <TextField name="setting" label="What is measured" hint="A few words: bronze deck nail." />
      <TextArea name="purpose" label="Purpose" hint="What the class finds out, in one or two sentences." />
      <LinesField name="kit" label="Kit" hint="One thing in a line." />
      <LinesField
        name="cautions"
        label="Cautions"
        hint="One in a line. Think of heat, glass, liquids and heavy things. End with whose rules decide: your school’s and local rules, and the responsible adult."
      />
    </div>
  );
}
