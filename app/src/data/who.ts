/** Who uses this device, where that was said, and the device itself: sent with what is done. Nothing of it is asked for. */
import { farmHere } from './house';
import { newId } from './id';
import { readStored, store } from './storage';

const WHO = 'who';
const DEVICE = 'device';
let device: string | null = null;

export const whoUses = (): string => readStored(WHO, '');
export const setWhoUses = (name: string): boolean => store(WHO, name.trim().slice(0, 40));

/** The same on every visit, where the browser keeps anything. */
export function thisDevice(): string {
  device ??= readStored<string | null>(DEVICE, null);
  if (device === null) {
    device = newId();
    store(DEVICE, device);
  }
  return device;
}

/** Headers carry letters of ASCII only. */
export function originHeaders(): Record<string, string> {
  const who = whoUses();
  const farm = farmHere();
  return {
    ...(farm ? { 'x-fogata-farm': farm } : {}),
    'x-fogata-device': thisDevice(),
    ...(who ? { 'x-fogata-who': encodeURIComponent(who) } : {}),
  };
}

/** Who made these records, where that is known. */
export const whoDid = (recordIds: readonly string[], who: Readonly<Record<string, string>>): string =>
  [...new Set(recordIds.map((id) => who[id]).filter((name) => name !== undefined))].join(', ');
