import { z } from 'zod'

const moment = z.union([z.string(), z.number()]).describe('written as serveAt was')

/** What is done when. */
export const scheduleAnswer = z.strictObject({
  tasks: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      start: moment,
      end: moment,
      uses: z.record(z.string(), z.number()),
      step: z.number().optional().describe('index into the method of its recipe'),
      recipe: z.number().optional().describe('index into the recipes'),
      why: z.string().optional().describe('why it takes so long'),
      source: z.string().optional(),
    }),
  ),
  makespanMinutes: z
    .number()
    .nullable()
    .describe('from the first start to serving; null where there is no plan'),
  boundMinutes: z.number().describe('no plan can be shorter'),
  proven: z.boolean().describe('the plan is as short as can be, or it is certain that there is none'),
  warnings: z.array(z.string()),
  foodSafety: z.array(
    z.strictObject({
      food: z.string(),
      minutesWarm: z.number().describe('between 5 and 57 °C'),
      limitMinutes: z.number(),
      terms: z.array(z.strictObject({ says: z.string(), minutes: z.number() })),
      caution: z.string(),
    }),
  ),
  conflict: z
    .strictObject({
      wishes: z
        .array(z.strictObject({ id: z.string(), says: z.string() }))
        .describe('cannot be had together; without any one of them the others can'),
      earliestServeAt: moment.nullable().describe('the earliest dinner with all of them'),
    })
    .nullable(),
})
export type ScheduleAnswer = z.output<typeof scheduleAnswer>
