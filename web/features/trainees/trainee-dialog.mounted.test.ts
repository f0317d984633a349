import { flushPromises } from '@vue/test-utils';
import { mannerFrom, usualManner } from '@wax-fist/core/words';
import { expect } from 'chai';
import LengthField from '../../app/LengthField.vue';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import TraineeDialog from './TraineeDialog.vue';

describe('a form', () => {
  const { fetch } = globalThis;
  let sent: { path: string; body: Record<string, unknown> }[];
  let answers: () => Response;
  onFreshPage();
  beforeEach(() => {
    sent = [];
    answers = () => Response.json({});
    globalThis.fetch = (async (path: string, { body }: RequestInit) => {
      sent.push({ path, body: JSON.parse(body as string) as Record<string, unknown> });
      return answers();
    }) as unknown as typeof fetch;
  });
  after(() => Object.assign(globalThis, { fetch }));

  const filled = async (name: string) => {
    const wrapper = mounted(TraineeDialog, { props: { modelValue: false } });
    await wrapper.setProps({ modelValue: true });
    await wrapper.find('input[type=text]').setValue(name);
    return wrapper;
  };
  const save = async (wrapper: Awaited<ReturnType<typeof filled>>): Promise<void> => {
    await wrapper.find('form').trigger('submit');
    await flushPromises();
  };
  const typed = (wrapper: Awaited<ReturnType<typeof filled>>): string =>
    wrapper.find<HTMLInputElement>('input[type=text]').element.value;

  it('is typed into from the instant it opens', async () => {
    const wrapper = mounted(TraineeDialog, { props: { modelValue: false } });
    await wrapper.setProps({ modelValue: true });
    expect(document.activeElement).to.equal(wrapper.find('input[type=text]').element);
  });

  it('says at the field what is missing, and sends nothing', async () => {
    const wrapper = await filled('  ');
    await save(wrapper);
    expect(wrapper.find('.v-messages').text()).to.match(/name/i);
    expect(sent).to.deep.equal([]);
  });

  it('sends what the contract asks for, closes, and says who was saved', async () => {
    const wrapper = await filled('Ada Testing');
    await save(wrapper);
    expect(sent[0]!.body).to.include({ name: 'Ada Testing', stance: 'orthodox', grade: 'beginner' });
    expect(sent[0]!.path).to.equal(`/api/trainees/${String(sent[0]!.body.id)}`);
    expect(wrapper.emitted('saved')).to.deep.equal([[sent[0]!.body.id]]);
    expect(wrapper.emitted('update:modelValue')!.at(-1)).to.deep.equal([false]);
  });

  it('takes lengths as people type them, tells them as this person reads them, and sends centimetres', async () => {
    mannerFrom(() => ({ ...usualManner, units: 'imperial' }));
    try {
      const wrapper = await filled('Ada Testing');
      const [stature, reach] = wrapper.findAllComponents(LengthField).map((field) => field.find('input'));
      await stature!.setValue('5 ft 8');
      await reach!.setValue('a lot');
      await save(wrapper);
      expect(sent).to.deep.equal([]);
      expect(wrapper.text()).to.include('Reach: such as 5′ 8″ or 68 in.');
      await reach!.setValue('28 in');
      await save(wrapper);
      expect(sent[0]!.body.stature).to.be.closeTo(172.72, 0.01);
      expect(sent[0]!.body.reach).to.be.closeTo(71.12, 0.01);
    } finally {
      mannerFrom(() => usualManner);
    }
  });

  it('puts what the server says of a field at the field, and keeps what was typed', async () => {
    answers = () =>
      Response.json({ message: 'No.', fields: [{ field: 'name', message: 'There is one of this name.' }] }, { status: 422 });
    const wrapper = await filled('Ada Testing');
    await save(wrapper);
    expect(wrapper.text()).to.include('There is one of this name.');
    expect(wrapper.find('[role=alert].v-alert').exists()).to.equal(false);
    expect(typed(wrapper)).to.equal('Ada Testing');
  });

  it('says in words that the server is away, keeps what was typed, and can be sent again', async () => {
    answers = () => {
      throw new TypeError('fetch failed');
    };
    const wrapper = await filled('Ada Testing');
    await save(wrapper);
    expect(wrapper.find('.v-alert').text()).to.include('cannot be reached');
    expect(typed(wrapper)).to.equal('Ada Testing');
    answers = () => Response.json({});
    await save(wrapper);
    expect(wrapper.emitted('saved')).to.have.length(1);
  });
});
