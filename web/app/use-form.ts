import { messageOf } from '@wax-fist/core/message-of';
import { reactive, ref, type Ref } from 'vue';
import { ValidationError, type InferType, type ObjectSchema, type AnyObject } from 'yup';
import { Refused } from './request.ts';

export interface Form<Draft, Checked> {
  draft: Draft;
  /** What is wrong, by field. */
  problems: Ref<Record<string, string>>;
  /** What is wrong with the whole. */
  failure: Ref<string | undefined>;
  busy: Ref<boolean>;
  /** Checks the draft against the contract's shape; only when it holds, sends it. Nothing typed is lost when it fails. */
  send: (onward: (checked: Checked) => Promise<unknown>) => Promise<void>;
}

/** A form whose rules are those of the contract, so that browser and server say the same. */
export function useForm<Shape extends ObjectSchema<AnyObject>, Draft extends AnyObject>(
  shape: Shape,
  initial: Draft,
): Form<Draft, InferType<Shape>> {
  const draft = reactive({ ...initial }) as Draft;
  const problems = ref<Record<string, string>>({});
  const failure = ref<string>();
  const busy = ref(false);

  const sort = (found: { field: string; message: string }[], otherwise: string): void => {
    problems.value = Object.fromEntries(
      found.filter(({ field }) => field in draft).map(({ field, message }) => [field, message]),
    );
    failure.value = Object.keys(problems.value).length > 0 ? undefined : otherwise;
  };

  async function send(onward: (checked: InferType<Shape>) => Promise<unknown>): Promise<void> {
    busy.value = true;
    problems.value = {};
    failure.value = undefined;
    try {
      await onward(await shape.validate(draft, { abortEarly: false, stripUnknown: true }));
    } catch (error) {
      if (error instanceof ValidationError) {
        const found = error.inner.length > 0 ? error.inner : [error];
        sort(found.map(({ path, message }) => ({ field: path ?? '', message })).reverse(), error.message);
      } else if (error instanceof Refused) sort(error.failure.fields ?? [], error.message);
      else failure.value = messageOf(error);
    } finally {
      busy.value = false;
    }
  }
  return { draft, problems, failure, busy, send };
}
