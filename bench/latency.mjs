/**
 * From a sample of the force gauge to the frame that shows it: the program's own number, beside a bare element that is written the moment the
 * message arrives, in the same page at the same time. `forSeconds` of a press that grows, after one that warms both up.
 */
export async function sampleLatency(browser, address, devicesUrl, forSeconds = 8) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${address}api/sign-in`, { data: { login: 'marit', password: 'quiet river owner' } });
  await page.addInitScript(() => {
    const heard = [];
    Object.assign(window, { heard });
    const Native = window.WebSocket;
    window.WebSocket = class extends Native {
      constructor(url, protocols) {
        super(url, protocols);
        this.addEventListener('message', ({ data }) => {
          const message = JSON.parse(String(data));
          if (message.type !== 'force') return;
          const n = Math.round(message.n);
          heard.push({ n, at: performance.now() });
          const bare = document.getElementById('bare');
          if (bare && bare.textContent !== String(n)) bare.textContent = String(n);
        });
      }
    };
  });
  await page.goto(`${address}shelf/entry/calf-supine/practise`);
  await page.getByRole('button', { name: 'Connect the force gauge' }).click();
  await page.getByTestId('live-newtons').waitFor();
  await page.evaluate(() => {
    const bare = document.createElement('p');
    bare.id = 'bare';
    document.body.append(bare);
  });
  const press = (seconds) =>
    page.evaluate(
      ([url, steps]) => {
        const socket = new WebSocket(url);
        socket.onopen = () => socket.send(JSON.stringify({ type: 'script', steps }));
        socket.onmessage = ({ data }) => JSON.parse(data).type === 'taken' && socket.close();
      },
      [`${devicesUrl}/force-gauge`, [{ do: 'press', pct: 10, to: 95, seconds }]],
    );
  const measure = (ms) =>
    page.evaluate(
      (forMs) =>
        new Promise((resolve) => {
          const found = { ours: [], bare: [] };
          const watching = [
            ['ours', document.querySelector('[data-testid="live-newtons"]')],
            ['bare', document.getElementById('bare')],
          ].map(([name, element]) => {
            const observer = new MutationObserver(() => {
              const shown = Number.parseInt(element.textContent, 10);
              requestAnimationFrame(() => {
                const sample = window.heard.findLast(({ n }) => n === shown);
                if (sample) found[name].push(performance.now() - sample.at);
              });
            });
            observer.observe(element, { characterData: true, childList: true, subtree: true });
            return observer;
          });
          setTimeout(() => {
            for (const observer of watching) observer.disconnect();
            resolve(found);
          }, forMs);
        }),
      ms,
    );
  await press(2);
  await measure(2500);
  await press(forSeconds);
  const found = await measure(forSeconds * 1000);
  await page.close();
  return found;
}
