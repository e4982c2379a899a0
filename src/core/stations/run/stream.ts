/** By then the stream is there, s after the start; before that its absence says nothing (C). */
export const STREAM_COMES = 30;
