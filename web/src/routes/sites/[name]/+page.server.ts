import { documentSchema } from '@pilgrim/core';
import { practiceFields } from '@pilgrim/core/job/design-rules';
import { practiceReasons } from '@pilgrim/core/job/design-rule-reasons';
import { practiceNames, ruleOf } from '@pilgrim/core/job/design-rule-list';
import { checkField } from '@pilgrim/core/kernel/read-field';
import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
import { stageTitles } from '@pilgrim/core/kernel/stage-list';
import { error, fail } from '@sveltejs/kit';
import { readForm, typedIn } from '$lib/server/read-form';
import { findSite, keepPractice, type Site } from '$lib/server/sites';
import type { Actions, PageServerLoad } from './$types';

const LONGEST = 60;

async function siteOf(name: string): Promise<Site> {
  const site = await findSite(name);
  if (!site) error(404, 'There is no such site.');
  return site;
}

export const load: PageServerLoad = async ({ params }) => {
  const site = await siteOf(params.name);
  const show = (si: number, name: (typeof practiceNames)[number]): string =>
    formatQuantity(si, ruleOf(name).dimension, site.school);
  return {
    site: { name: site.name, school: site.school },
    rules: practiceNames.map((name) => {
      const { title, stage, value } = ruleOf(name);
      const { why, others } = practiceReasons[name];
      return {
        name,
        title,
        stage: stageTitles[stage],
        why,
        usual: show(value, name),
        others: others.map((other) => ({ text: show(other.value, name), whose: other.whose })),
        own: String(site.practice[name] ?? ''),
      };
    }),
  };
};

export const actions: Actions = {
  default: async ({ request, params }) => {
    const site = await siteOf(params.name);
    const form = await readForm(request);
    const typed = Object.fromEntries(
      practiceNames.flatMap((name) => {
        const clean = typedIn(form, name);
        return clean === '' ? [] : [[name, clean] as const];
      }),
    );
    const errors = Object.fromEntries(
      Object.entries(typed).flatMap(([name, text]) => {
        const wrong =
          text.length > LONGEST
            ? 'Too long for a figure.'
            : checkField(text, practiceFields[name as keyof typeof practiceFields], site.school);
        return wrong ? [[name, wrong] as const] : [];
      }),
    );
    if (Object.keys(errors).length > 0) return fail(422, { typed, errors, kept: false });
    await keepPractice(site.name, documentSchema.shape.sitePractice.unwrap().parse(typed));
    return { typed, errors, kept: true };
  },
};
