import type { Context, Middleware } from 'koa'

/** The one crew there is until there are accounts. */
export const DEMO_CREW = { id: '6d1f9a52-3b0e-4c67-9f52-0a6f4e1c7b10', name: 'Fulmar' }

/** Says whose request it is. Accounts replace this step; nothing past it knows how the crew was found. */
export const identifyCrew: Middleware = async (ctx, next) => {
  ctx.state.crewId = DEMO_CREW.id
  ctx.state.observer = DEMO_CREW.name
  await next()
}

export function crewOf(ctx: Context): string {
  return ctx.state.crewId as string
}

/** By whom something was seen: the crew’s name, until its people have accounts of their own. */
export function observerOf(ctx: Context): string {
  return ctx.state.observer as string
}
