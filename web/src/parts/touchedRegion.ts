import { PATH_SCALE, regionAt, type MapRegion } from '@pace-bend/core/figure';

/**
 * The region of a drawn body that was touched: the one under the finger, or the nearest within `reachCm`; null beside the body. The regions are
 * drawn as paths with `data-region`, in the order of the list, within the drawing the event was heard on.
 */
export function touchedRegion(event: MouseEvent, regions: readonly MapRegion[], reachCm: number): MapRegion | null {
  const svg = (event.currentTarget as SVGGElement).ownerSVGElement!;
  const inverse = svg.getScreenCTM()?.inverse();
  if (!inverse) return null;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(inverse);
  const paths = [...svg.querySelectorAll<SVGPathElement>('[data-region]')];
  return regionAt(
    regions,
    [x / PATH_SCALE, y / PATH_SCALE],
    (each) => paths[regions.indexOf(each)]?.isPointInFill(new DOMPoint(x, y)) === true,
    reachCm,
  );
}
