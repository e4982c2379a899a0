import adapter from '@sveltejs/adapter-node';

/** A page of the same stack with nothing on it: what the pages of the application are measured against. */
export default { kit: { adapter: adapter({ out: 'build' }) } };
