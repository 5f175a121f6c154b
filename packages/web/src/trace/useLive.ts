import { useEffect, useState } from 'react';
import { LiveRecording } from './liveRecording.ts';

/** How often a second the reader is asked. */
const LIVE_HZ = 50;

interface Live {
  readonly recording: LiveRecording;
  readonly state: 'waiting' | 'running' | 'ended';
  /** Why it broke off; null while it did not. */
  readonly problem: string | null;
}

/** Wheel speeds from the reader while this is shown; what came stays when it breaks off. */
export const useLive = (): Live => {
  const [recording] = useState(() => new LiveRecording());
  const [state, setState] = useState<Live['state']>('waiting');
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const source = new EventSource(`/api/devices/reader/live?hz=${LIVE_HZ}`);
    const end = (why: string) => {
      source.close();
      setState('ended');
      setProblem(why);
    };
    source.addEventListener('message', ({ data }: MessageEvent<string>) => {
      try {
        if (recording.add(JSON.parse(data))) setState('running');
      } catch {
        // A line that is cut is no sample.
      }
    });
    source.addEventListener('trouble', ({ data }: MessageEvent<string>) => end(String(JSON.parse(data))));
    source.addEventListener('error', () =>
      end('The reader is not there, or the server went. What came is kept.'),
    );
    return () => source.close();
  }, [recording]);
  return { recording, state, problem };
};
