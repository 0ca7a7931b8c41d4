import { accessible, expect, glovesFit, test } from './farm';

test('a house is moved on the plan by drag and by steps, and each move can be taken back', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/beds`);
  await page.getByTestId('open-plan').click();
  const plan = page.getByTestId('farm-plan');
  await expect(plan).toBeVisible();
  await expect(page.getByTestId('sentence')).toContainText('Tonight as planned');
  await accessible(page);
  await glovesFit(page);
  await page.getByRole('radio', { name: 'South house' }).click();
  await page.getByTestId('plan-move').click();
  const east = page.getByTestId('plan-east-value');
  await expect(east).toContainText('−2.0 m');
  await page.getByRole('button', { name: 'East up 5', exact: true }).click();
  await expect(east).toContainText('3.0 m');
  await page.getByTestId('undo-button').click();
  await expect(east).toContainText('−2.0 m');
  // by drag: what is chosen follows the finger
  await plan.scrollIntoViewIfNeeded();
  const box = (await plan.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 30, y + 4, { steps: 5 });
  await page.mouse.move(x + 60, y + 4, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByTestId('undo')).toContainText('South house: moved');
  await expect(east).not.toContainText('−2.0 m');

  // another day: what grows then
  await page.getByRole('button', { name: 'Day four weeks earlier' }).click();
  await expect(page.getByTestId('sentence')).toContainText('planted');
});

test('sheets are cut from rolls, copies made, and the farm goes out and comes in again', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/kit`);
  await page.getByTestId('open-cut').click();
  await expect(page.getByTestId('sentence')).toContainText('no sheet of fleece 30');
  await expect(page.getByTestId('cut-plan')).toContainText('least possible');
  await accessible(page);
  await page.getByRole('radio', { name: 'frost blanket' }).click();
  await expect(page.getByTestId('cut-order')).toContainText('at least');
  await page.getByTestId('add-roll').click();
  await expect(page.getByTestId('cut-plan')).toBeVisible();
  await page.getByTestId('undo-button').click();
  await expect(page.getByTestId('cut-plan')).toHaveCount(0);

  await page.goto(`${farm.url}/structure/south`);
  await page.getByTestId('copy-structure').click();
  await expect(page.getByTestId('sentence')).toContainText('South house 2: 18 m × 6 m');
  await expect(page.getByTestId('undo')).toContainText('South house 2: added');
  const file = await (await page.request.get(`${farm.url}/api/farm/file`)).text();
  await page.getByTestId('undo-button').click();
  // it stands no more; the log keeps that it did
  const standing = async () =>
    (
      (await (await page.request.get(`${farm.url}/api/farm/file`)).json()) as {
        structures: { name: string }[];
      }
    ).structures.map((x) => x.name);
  await expect.poll(standing).not.toContain('South house 2');

  await page.goto(`${farm.url}/files`);
  await accessible(page);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('bring-farm').click(),
  ]);
  await chooser.setFiles({ name: 'farm.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(page.getByTestId('exchange')).toContainText('Come: South house 2');
  await page.getByTestId('exchange-take').click();
  await expect(page.getByTestId('exchange')).toContainText('Taken.');
  // all that stands is as it was; the log has grown by what was done meanwhile
  const back = await (await page.request.get(`${farm.url}/api/farm/file`)).text();
  const whatStands = (text: string) => ({
    ...(JSON.parse(text) as object),
    records: null,
    arrivedAtMs: null,
    weather: null,
  });
  expect(whatStands(back)).toEqual(whatStands(file));

  const [second] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByTestId('bring-stock').click(),
  ]);
  await second.setFiles({
    name: 'bad.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,material,length_m,width_m,pieces\nA,wool,2,2,1'),
  });
  await expect(page.getByText(/line 2, material: expected one of/)).toBeVisible();
});

test('every reckoning gives an answer with its working, and says which figure makes no sense', async ({
  page,
  farm,
}) => {
  for (const what of ['sheet', 'hoops', 'drip', 'crates', 'seeds', 'trays', 'mix']) {
    await page.goto(`${farm.url}/calc/${what}`);
    await expect(page.getByTestId('calc-answer')).toContainText(/\d/);
    expect(await page.getByTestId('calc-working').count()).toBeGreaterThan(1);
    await accessible(page);
  }
  await page.goto(`${farm.url}/calc/mix`);
  for (let i = 0; i < 3; i++)
    await page.getByRole('button', { name: 'Crates or pots down 10', exact: true }).click();
  await expect(page.getByTestId('calc-problem')).toContainText('Vessels: more than 0');
  for (const what of ['jugs', 'shade']) {
    await page.goto(`${farm.url}/calc/${what}?bed=n2`);
    await expect(page.getByTestId('calc-answer')).toContainText(/\d/);
  }
});

test('before wind there is a job with its load and what is not known, and it is ticked off', async ({
  page,
  farm,
}) => {
  await page.request.post(`${farm.url}/api/clock`, { data: { toAtMs: Date.parse('2027-01-15T13:00:00Z') } });
  await page.goto(farm.url);
  const storm = page.getByTestId('storm');
  await expect(storm).toBeVisible();
  await storm.getByTestId('storm-wind').first().click();
  await expect(storm).toContainText(/rating/);
  await storm.getByTestId('storm-tick').first().click();
  await expect(page.getByTestId('undo')).toContainText('done');
  await expect(storm.getByTestId('storm-tick').first()).toHaveAttribute('aria-checked', 'true');
});
