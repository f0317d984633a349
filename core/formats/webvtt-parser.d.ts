/** Another parser than ours, for the tests; it tells no types of its own. */
declare module 'webvtt-parser' {
  class WebVTTParser {
    parse(text: string): {
      cues: { id: string; startTime: number; endTime: number; text: string }[];
      errors: { message: string; line: number }[];
    };
  }
  const parsers: { WebVTTParser: typeof WebVTTParser };
  export default parsers;
}
