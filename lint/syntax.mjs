// ESLint's own rule about syntax as a plugin: oxlint has the other rules, and not this one.
import { builtinRules } from 'eslint/use-at-your-own-risk';

export default { meta: { name: 'syntax' }, rules: { refused: builtinRules.get('no-restricted-syntax') } };
