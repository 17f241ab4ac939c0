/** A document of one's own: a design with nothing to carry, no contest, and a strip that shows what such an aircraft has. */
import { starterDocument } from '../demo';
import { priorCalibration, type Design, type DesignDocument } from '../design';

/** Design of the plain starter with one state and nothing aboard, for a layout to be drawn from. */
export function bareDesign(): Design {
  const { design } = starterDocument(),
    payload = { ...design.payload, name: 'Nothing', unitMass: 0 };
  return { ...design, payload, states: [{ id: 'flying', name: 'Flying', count: 0 }], scale: [] };
}

/** @param watch quantities of its one state */
export function ownDocument(design: Design, watch: readonly string[]): DesignDocument {
  const { brief, ...rest } = starterDocument();
  return {
    ...rest,
    brief: {
      ...brief,
      site: { ...brief.site, surface: 'short grass', stripLength: 30 },
      missions: [],
      tasks: [],
      watch: watch.map((q) => `${q}@flying`),
    },
    design: { ...design, basis: {} },
    calibration: priorCalibration(),
  };
}
