import { z } from 'zod'
import { CALCULATIONS } from '../../src/core/calculations/registry.ts'

/** The reference page of the registry: every calculation with its title, source, and the schemas of what goes in and out. */
export function calculationsPage(): string {
  const sections = Object.entries(CALCULATIONS).map(([name, { title, formula, source, valid, input, output }]) => {
    const schema = (of: z.ZodType) =>
      `\`\`\`json\n${JSON.stringify(withoutMeta(z.toJSONSchema(of, { io: 'input' })), null, 2)}\n\`\`\``
    return `## ${name}\n\n${title}.\n\n    ${formula.split(';  ').join('\n    ')}\n\nSource: ${source}. Valid: ${valid}.\n\nIn:\n\n${schema(input)}\n\nOut:\n\n${schema(output)}\n`
  })
  return `# Calculations

Made from the registry by \`npm run docs\`; do not edit. Everything is in SI, and a field's name ends in its unit.

    npm run -s calc -- NAME < input.json

prints the result as JSON. A bad input ends with 2 and the issues on standard error, a calculation outside its range with 3
and \`{code,message,details}\`. The same runs over HTTP: \`POST /api/calculations/NAME\`.

${sections.join('\n')}`
}

function withoutMeta({ $schema: _, ...schema }: Record<string, unknown>): Record<string, unknown> {
  return schema
}
