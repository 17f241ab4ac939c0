/** The cross-section of a member's shape, by its kind. */
import type { MemberShape } from '../design';
import type { CrossSection } from './crossSection';
import type { Material } from './materials';
import {
  boxSection,
  channelLying,
  channelUpright,
  iSection,
  noseSection,
  roundSection,
  sheetSection,
  skinSection,
  stripSection,
  type SkinPlace,
} from './shapes';

/** Materials that a shape names. */
export function materialsOf(shape: MemberShape): string[] {
  switch (shape.kind) {
    case 'box':
    case 'caps':
      return [shape.capMaterial, shape.webMaterial];
    case 'nose':
      return [shape.skinMaterial, shape.webMaterial];
    case 'sandwich':
      return [shape.skinMaterial, shape.coreMaterial];
    default:
      return [shape.material];
  }
}

/** Shapes that are the section's own: they need its outline. */
export const isSkin = ({ kind }: Pick<MemberShape, 'kind'>): boolean =>
  kind === 'nose' || kind === 'sandwich' || kind === 'print' || kind === 'sheet';

/** Width of a printed line [m]: infill of a share s holds the wall every 2 lines / s. Common practice, no source. */
const LINE = 0.45e-3;

type Named = (id: string) => Material | undefined;

/** Those that need no outline. */
function plainSection(shape: MemberShape, m: (id: string) => Material): CrossSection | null {
  switch (shape.kind) {
    case 'tube':
      return roundSection(shape.outer, shape.wall, m(shape.material));
    case 'rod':
      return roundSection(shape.outer, shape.outer / 2, m(shape.material));
    case 'strip':
      return stripSection(shape.height, shape.width, m(shape.material));
    case 'square tube': {
      const of = m(shape.material);
      return boxSection({
        ...shape,
        cap: shape.wall,
        web: Math.min(shape.wall, shape.width / 2),
        capMaterial: of,
        webMaterial: of,
      });
    }
    case 'i':
    case 'channel': {
      const of = m(shape.material),
        f = { ...shape, capMaterial: of, webMaterial: of };
      if (shape.kind === 'i') return iSection(f);
      return shape.lies ? channelLying(f) : channelUpright(f);
    }
    case 'box':
    case 'caps': {
      const f = { ...shape, capMaterial: m(shape.capMaterial), webMaterial: m(shape.webMaterial) };
      return shape.kind === 'box' ? boxSection(f) : iSection(f);
    }
    default:
      return null;
  }
}

function ownSection(shape: MemberShape, m: (id: string) => Material, place: SkinPlace): CrossSection | null {
  switch (shape.kind) {
    case 'nose':
      return noseSection(
        place,
        { thickness: shape.skin, material: m(shape.skinMaterial) },
        { thickness: shape.web, material: m(shape.webMaterial) },
      );
    case 'sandwich':
      return skinSection(
        place,
        { thickness: shape.skin, material: m(shape.skinMaterial) },
        { material: m(shape.coreMaterial), share: 1 },
        null,
      );
    case 'print': {
      const of = m(shape.material),
        infill = shape.infill > 0 ? { material: of, share: shape.infill } : null;
      return skinSection(
        place,
        { thickness: shape.wall, material: of },
        infill,
        infill ? (2 * LINE) / shape.infill : null,
      );
    }
    case 'sheet':
      return sheetSection(place, shape.thickness, m(shape.material));
    default:
      return null;
  }
}

/**
 * @param named materials by id @param place outline and chord, for shapes that are the section's own
 * @returns null where a material is not known or the outline is missing
 */
export function memberSection(
  shape: MemberShape,
  named: Named,
  place: SkinPlace | null,
): CrossSection | null {
  if (materialsOf(shape).some((id) => !named(id))) return null;
  const m = (id: string) => named(id)!;
  return place && isSkin(shape) ? ownSection(shape, m, place) : plainSection(shape, m);
}
