import { suspectById } from '$core/diagnosis/knowledge/index.ts';

export const match = (id: string): boolean => suspectById.has(id);
