import { expect } from 'chai';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import FilmingSettingsFields from './FilmingSettingsFields.vue';
import { usualPlan, type FilmingPlan } from './filming-settings.ts';

const camera = (deviceId: string) => ({ deviceId, label: `Camera ${deviceId}` }) as MediaDeviceInfo;

describe('what is set before the first bell', () => {
  onFreshPage();
  const fields = (cameras: MediaDeviceInfo[] = []) =>
    mounted(FilmingSettingsFields, { props: { modelValue: usualPlan, cameras, camera: '' } });
  const told = (wrapper: ReturnType<typeof fields>): FilmingPlan =>
    wrapper.emitted<[FilmingPlan]>('update:modelValue')!.at(-1)![0];

  it('shows the plan of last time', () => {
    const numbers = fields()
      .findAll<HTMLInputElement>('input[type=number]')
      .map(({ element }) => Number(element.value));
    expect(numbers).to.deep.equal([usualPlan.rounds, usualPlan.work, usualPlan.rest, usualPlan.ready]);
  });

  it('tells each change with all the rest as it was; a field that is emptied is no zero', async () => {
    const wrapper = fields();
    await wrapper.findAll('input[type=number]')[1]!.setValue('90');
    expect(told(wrapper)).to.deep.equal({ ...usualPlan, work: 90 });
    await wrapper.findAll('input[type=number]')[2]!.setValue('');
    expect(told(wrapper).rest).to.equal(undefined);
    await wrapper.find('input[type=checkbox]').setValue(false);
    expect(told(wrapper).bell).to.equal(false);
  });

  it('asks for the camera only where there are several', () => {
    expect(fields([camera('a')]).text()).to.not.include('Camera');
    expect(fields([camera('a'), camera('b')]).text()).to.include('Camera a');
  });
});
