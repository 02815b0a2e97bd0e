import type { ToneKind } from '#core/breath';
import { useDeviceSettings } from '../../state/device-settings';
import { useSettings } from '../../state/settings';

/**
 * Says which tones of the breath are heard here: those that are switched on on this device, and the ticks of counts only
 * where counting goes by a metronome.
 */
export function useHeard(): (kind: ToneKind) => boolean {
  const device = useDeviceSettings();
  const settings = useSettings();
  void settings.ready();
  return (kind) => device.hears(kind) && (kind !== 'count' || settings.current.school.counting === 'metronome');
}
