import { scaleLinear } from 'd3-scale'

type Props = {
  low: number
  mean: number
  high: number
  /** Where the scale begins and ends. */
  least?: number | undefined
  most: number
  expected?: number | undefined
  isStrong?: boolean
}

/** A bar from low to high, with a disc at the mean and a stroke at the expected value. The page gives the numbers as text. */
export function IntervalBar({ low, mean, high, least = 0, most, expected, isStrong = false }: Props) {
  const xOf = scaleLinear([least, most], [1, 99]).clamp(true)
  const at = (value: number) => `${xOf(value)}%`
  return (
    <svg height={16} aria-hidden="true" className="block w-full overflow-visible">
      <line x1="0" x2="100%" y1={8} y2={8} stroke="var(--rule)" />
      <line x1={at(low)} x2={at(high)} y1={8} y2={8} stroke={isStrong ? 'var(--fails)' : 'var(--tide)'} strokeWidth={5} />
      {expected !== undefined && (
        <line x1={at(expected)} x2={at(expected)} y1={0} y2={16} stroke="currentColor" strokeWidth={2} />
      )}
      <circle cx={at(mean)} cy={8} r={4.5} fill="var(--sheet)" stroke="currentColor" strokeWidth={2} />
    </svg>
  )
}
