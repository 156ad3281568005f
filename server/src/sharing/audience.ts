import type { Sees } from '@aurantia/core/sharing';

/**
 * For whom a route is: `here` this computer alone, `all` devices that see all, `bench` those at the bench too, `anyone`
 * who reaches this computer. A route that says nothing is for `all`: what is new is shown to no bench by mistake.
 */
export type Audience = 'here' | Sees | 'anyone';

/** Who asks: this computer itself, a device that was let in, or a stranger. */
export type Asking = 'here' | Sees | 'stranger';

const may: Readonly<Record<Asking, readonly Audience[]>> = {
  here: ['here', 'all', 'bench', 'anyone'],
  all: ['all', 'bench', 'anyone'],
  bench: ['bench', 'anyone'],
  stranger: ['anyone'],
};

export const mayAsk = (asking: Asking, audience: Audience = 'all'): boolean => may[asking].includes(audience);

declare module 'fastify' {
  interface FastifyContextConfig {
    for?: Audience;
  }
  interface FastifyRequest {
    asking: Asking;
  }
}

/** Config of a route that devices at the bench may ask too. */
export const alsoAtTheBench = { for: 'bench' } as const satisfies { for: Audience };
