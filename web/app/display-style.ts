import { watchEffect } from 'vue';
import { useDeviceSettings } from '../state/device-settings';
import { dateStyleOf, setDateStyle } from '../ui/dates';
import { setSingleKeys } from '../ui/keys';
import { lengthUnitOf, setLengthUnit } from '../ui/lengths';

const LOCALES = { dayFirst: 'en-GB', monthFirst: 'en-US', yearFirst: 'en-CA' } as const;
const WEEK_STARTS = { sunday: 0, monday: 1, saturday: 6 } as const;

/** Shows dates, times and lengths, and listens to keys, as the settings of this browser say, now and when they change. */
export function followDisplaySettings(): void {
  const settings = useDeviceSettings();
  const { language } = navigator;
  watchEffect(
    () => {
      const device = dateStyleOf(language);
      const { dates, clock, weekStart } = settings;
      setDateStyle({
        locale: dates === 'device' ? device.locale : LOCALES[dates],
        hour12: clock === 'device' ? device.hour12 : clock === '12',
        firstDay: weekStart === 'device' ? device.firstDay : WEEK_STARTS[weekStart],
      });
    },
    { flush: 'sync' },
  );
  watchEffect(() => setLengthUnit(settings.lengths === 'device' ? lengthUnitOf(language) : settings.lengths), {
    flush: 'sync',
  });
  watchEffect(() => setSingleKeys(settings.singleKeys), { flush: 'sync' });
}
