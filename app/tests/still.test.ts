/** Nothing moves under a finger: what the server answers meanwhile waits for it. */
import { Press } from '../src/data/still';

let page: EventTarget;
let press: Press;
let handedOn: boolean;

beforeEach(() => {
  jest.useFakeTimers();
  page = new EventTarget();
  press = new Press(page);
  handedOn = false;
});
afterEach(() => jest.useRealTimers());

const does = (kind: string) => page.dispatchEvent(new Event(kind));
const after = (ms: number) => jest.advanceTimersByTimeAsync(ms);
const answer = () => void press.over().then(() => (handedOn = true));

test('with nothing pressed an answer is handed on at once', async () => {
  answer();
  await after(0);
  expect(handedOn).toBe(true);
});

test.each(['pointerup', 'pointercancel'])(
  'an answer waits for %s, and for the click that comes after it',
  async (ends) => {
    does('pointerdown');
    answer();
    await after(800);
    expect(handedOn).toBe(false);
    does(ends);
    await after(0);
    expect(handedOn).toBe(false);
    await after(50);
    expect(handedOn).toBe(true);
  },
);

test('a second press straight after the first holds on', async () => {
  does('pointerdown');
  does('pointerup');
  does('pointerdown');
  answer();
  await after(500);
  expect(handedOn).toBe(false);
  does('pointerup');
  await after(50);
  expect(handedOn).toBe(true);
});

test('a finger whose going was never told holds nothing up for long', async () => {
  does('pointerdown');
  answer();
  await after(3100);
  expect(handedOn).toBe(true);
  handedOn = false;
  answer();
  await after(0);
  expect(handedOn).toBe(true);
});

test('where there is no page nothing waits', async () => {
  press = new Press(undefined);
  answer();
  await after(0);
  expect(handedOn).toBe(true);
});
