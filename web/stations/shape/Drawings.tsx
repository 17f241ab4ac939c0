'use client';
/** The shape out of the house: three views at true size, surfaces as STL. */
import { Button } from '@mantine/core';
import { modelOf } from '@skiametra/core/assess';
import { aircraftMesh, threeViewLines, toStl } from '@skiametra/core/layout';
import { give } from '../../parts/give';
import { Cautions } from '../../parts/Cautions';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Drawings() {
  const design = useWorkspace((w) => w.content.document.design);
  const title = useWorkspace(
    (w) => `${w.project.aircraft}, ${w.versions.find((v) => v.id === w.versionId)?.name ?? ''}`,
  );
  const base = title.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
  const drawing = async () => {
    const kit = await import('@skiametra/formats/template');
    return { kit, d: kit.layThreeViews(threeViewLines(design), title) };
  };
  const stl = (part: string | null) => {
    const meshes = aircraftMesh(
      design,
      new Map(design.sections.map((s) => [s.id, modelOf(s).outline])),
      1,
    ).filter((m) => part === null || m.part === part);
    give(`${base}${part ? `-${part}` : ''}.stl`, 'model/stl', toStl(meshes) as BlobPart);
  };
  return (
    <section className="block" aria-label="Drawings">
      <h2>Drawings out</h2>
      <Cautions at="export" />
      <div className="line gap8 wraps">
        <Button
          size="xs"
          variant="light"
          onClick={() =>
            void drawing().then(({ kit, d }) =>
              give(`${base}-three-views.pdf`, 'application/pdf', kit.threeViewPdf(d) as BlobPart),
            )
          }
        >
          PDF 1:1
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() =>
            void drawing().then(({ kit, d }) =>
              give(`${base}-three-views.svg`, 'image/svg+xml', kit.threeViewSvg(d)),
            )
          }
        >
          SVG
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() =>
            void drawing().then(({ kit, d }) =>
              give(`${base}-three-views.dxf`, 'image/vnd.dxf', kit.threeViewDxf(d)),
            )
          }
        >
          DXF
        </Button>
        <Button size="xs" variant="default" onClick={() => stl(null)}>
          STL
        </Button>
        {design.surfaces.map((s) => (
          <Button key={s.id} size="compact-xs" variant="subtle" onClick={() => stl(s.id)}>
            {s.name}.stl
          </Button>
        ))}
      </div>
    </section>
  );
}
