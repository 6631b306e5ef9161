/**
 * Type that is read from where the therapist stands.
 *
 * What decides whether letters are read is the angle under which their capitals are seen: a capital of height h at a distance d is seen under
 * 2·atan(h / 2d). Sixteen minutes of arc are the least that ergonomics asks for reading (ISO 9241-303 names 16′ as the least and 20′ to 22′ as
 * preferred; from memory), ten are legible where a glance is enough (20/20 vision resolves letters of 5′; from memory). At 2.5 m that is
 * 11.6 mm and 7.3 mm.
 *
 * A browser does not know how large its screen is. The smallest screen this is made for has a diagonal of ten inches, and whatever it calls
 * a pixel, its diagonal in pixels is those ten inches: a font that is large enough there is larger still on every larger screen.
 */
export const FAR = { readMinutes: 16, glanceMinutes: 10, metres: 2.5, diagonalInches: 10 } as const;

const MM_PER_INCH = 25.4;

/**
 * Height of a capital that is seen under an angle from a distance.
 * @param minutes of arc
 * @param metres from the eye
 * @returns millimetres
 * @example Math.round(capHeightMm(16, 2.5) * 100) / 100 // → 11.64
 */
export function capHeightMm(minutes: number, metres: number): number {
  return 2 * metres * 1000 * Math.tan((minutes / 60 / 2) * (Math.PI / 180));
}

/**
 * The angle under which a capital is seen: the other way round.
 * @param mm height of the capital
 * @param metres from the eye
 * @returns minutes of arc
 * @example Math.round(arcMinutes(11.64, 2.5)) // → 16
 */
export function arcMinutes(mm: number, metres: number): number {
  return 2 * Math.atan(mm / (2 * metres * 1000)) * (180 / Math.PI) * 60;
}

/**
 * Font sizes of the far view for a page of so many pixels that fills a screen of ten inches or more.
 * @param page width and height in CSS pixels
 * @param capShare height of a capital as a share of the font size, as the font has it
 * @returns pixels for what is read (instruction, effort) and for what a glance takes (what comes next)
 */
export function farType(
  page: { readonly width: number; readonly height: number },
  capShare: number,
): { readonly read: number; readonly glance: number } {
  const pxPerMm = Math.hypot(page.width, page.height) / (FAR.diagonalInches * MM_PER_INCH);
  const size = (minutes: number) => Math.ceil((capHeightMm(minutes, FAR.metres) * pxPerMm) / capShare);
  return { read: size(FAR.readMinutes), glance: size(FAR.glanceMinutes) };
}
