export default {
  steps: '{value} steps',
  steps_2: 'Steps',
  statement: 'Statement',
  step_1_means: 'Step 1 means',
  step_means: 'Step {step} means',
  label: 'Rating scale',
  hint: 'statements are rated in steps',
} as const
