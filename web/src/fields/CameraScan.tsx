import { useEffect, useRef, useState } from 'react';

interface Detector {
  detect(source: HTMLVideoElement): Promise<readonly { readonly rawValue: string }[]>;
}
type DetectorClass = new (options: { readonly formats: readonly string[] }) => Detector;

const detectorClass = (): DetectorClass | undefined => (globalThis as { readonly BarcodeDetector?: DetectorClass }).BarcodeDetector;

/** Whether this browser reads codes with the camera. It needs https, or the machine itself. */
export const cameraScans = (): boolean => detectorClass() !== undefined && navigator.mediaDevices !== undefined;

const LOOK_MS = 250;

/** The camera's picture until it shows a code. */
export function CameraScan({ read, close }: { readonly read: (code: string) => void; readonly close: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string>();
  const latest = useRef({ read, close });
  latest.current = { read, close };
  useEffect(() => {
    const Class = detectorClass();
    if (!Class) return;
    const detector = new Class({ formats: ['qr_code', 'code_128'] });
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    const look = async () => {
      if (!video.current || video.current.readyState < 2) return;
      const [found] = await detector.detect(video.current);
      if (!found) return;
      latest.current.read(found.rawValue);
      latest.current.close();
    };
    navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }).then(
      (opened) => {
        stream = opened;
        if (video.current) video.current.srcObject = opened;
        timer = setInterval(() => look().catch((error: unknown) => setProblem(String(error))), LOOK_MS);
      },
      () => setProblem('The camera may not be used here. Type the code instead.'),
    );
    return () => {
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  return (
    <div className="mt-2 max-w-md border-[1.5px] border-ink bg-sheet p-2">
      {problem ? (
        <p role="alert">{problem}</p>
      ) : (
        <video ref={video} autoPlay muted playsInline className="w-full" aria-label="Camera picture" />
      )}
      <button type="button" className="action mt-2" onClick={close}>
        Close the camera
      </button>
    </div>
  );
}
