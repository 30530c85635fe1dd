import type { Material } from '../../core/catalogue/ids.ts'
import type { SpoolFacts } from '../../core/outfits/spoolFacts.ts'

/** Half the drawing’s width that a full spool takes, px. */
const FULL_PX = 92
const CENTRE = { x: 100, y: 104 }
const WIDTH = 420
const HEIGHT = 232

/** How a material is told apart on the section: by its hatching as much as by its shade. */
const DASH: Record<Material, string> = { mono: '0', fluoro: '6 2', braid: '2 2', wire: '1 3', cable: '4 1', cord: '8 3' }

type Props = {
  facts: SpoolFacts
  layers: readonly { name: string; text: string; material: Material }[]
  rulerText: string
  rulerM: number
}

/** A spool seen from its side, to scale: the arbor, each layer wound on it, and how full it is. */
export function SpoolSection({ facts, layers, rulerText, rulerM }: Props) {
  const largestM = Math.max(facts.fullM, ...facts.bands.map(({ toM }) => toM))
  const px = (m: number) => (m / largestM) * FULL_PX
  const fill = Math.round(facts.fillShare * 100)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-lg text-ink"
      role="img"
      aria-label={`The spool to scale, ${fill} % full: ${layers.map(({ name, text }) => `${name}, ${text}`).join('; ')}`}
    >
      <circle cx={CENTRE.x} cy={CENTRE.y} r={px(facts.fullM)} fill="none" stroke="var(--rule)" strokeDasharray="4 3" />
      {facts.bands.map((band) => (
        <Band
          key={band.index}
          fromPx={px(band.fromM)}
          toPx={px(band.toM)}
          material={layers[band.index]?.material ?? 'mono'}
          shade={band.index}
        />
      ))}
      <circle cx={CENTRE.x} cy={CENTRE.y} r={px(facts.arborM)} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.5} />
      <text x={CENTRE.x} y={CENTRE.y + 4} fontSize={12} textAnchor="middle">
        arbor
      </text>
      {facts.bands.map((band, i) => {
        const [row, middlePx] = [facts.bands.length - 1 - i, px((band.fromM + band.toM) / 2)]
        const y = 26 + row * 52
        return (
          <g key={band.index}>
            <path
              d={`M${CENTRE.x + middlePx * 0.72} ${CENTRE.y - middlePx * 0.69}L206 ${y - 4}H214`}
              fill="none"
              stroke="currentColor"
              strokeWidth={0.8}
            />
            <text x={218} y={y} fontSize={13} fontWeight={600}>
              {layers[band.index]?.name}
            </text>
            <text x={218} y={y + 17} fontSize={12}>
              {layers[band.index]?.text}
            </text>
          </g>
        )
      })}
      <g transform={`translate(${CENTRE.x - px(rulerM) / 2} ${HEIGHT - 10})`}>
        <path d={`M0 -5v5h${px(rulerM)}v-5`} fill="none" stroke="currentColor" strokeWidth={1.2} />
        <text x={px(rulerM) + 6} y={0} fontSize={11}>
          {rulerText}
        </text>
      </g>
    </svg>
  )
}

/** One layer as a ring; wound turns are shown by circles in the hatching of its material. */
function Band({ fromPx, toPx, material, shade }: { fromPx: number; toPx: number; material: Material; shade: number }) {
  const turns = Math.max(1, Math.round((toPx - fromPx) / 5))
  return (
    <g>
      <circle
        cx={CENTRE.x}
        cy={CENTRE.y}
        r={(fromPx + toPx) / 2}
        fill="none"
        stroke="var(--spread)"
        strokeOpacity={1 - 0.3 * shade}
        strokeWidth={Math.max(0.5, toPx - fromPx)}
      />
      {Array.from({ length: turns }, (_, i) => fromPx + ((i + 0.5) * (toPx - fromPx)) / turns).map((r) => (
        <circle
          key={r}
          cx={CENTRE.x}
          cy={CENTRE.y}
          r={r}
          fill="none"
          stroke="currentColor"
          strokeWidth={0.8}
          strokeDasharray={DASH[material]}
        />
      ))}
      <circle cx={CENTRE.x} cy={CENTRE.y} r={toPx} fill="none" stroke="currentColor" strokeWidth={1} />
    </g>
  )
}
