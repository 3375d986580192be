import type { UseFormReturnType } from '@mantine/form';

/** What ties the field of a number to its place in a form: its value, how it changes, and what the form finds wrong with it. */
export function inForm<Values>(form: UseFormReturnType<Values>, path: string) {
  const { value, onChange, error } = form.getInputProps(path);
  return { value: value as number | null, onChange: onChange as (value: number | null) => void, error };
}
