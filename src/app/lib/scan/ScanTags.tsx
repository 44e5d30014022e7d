'use client';

import { ScanLine } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { readCode, Seen } from './readCode';

/** Pictures are looked at so wide, and so long after one another: a phone keeps its charge, and a tag is read at arm’s length. */
const [WIDE, PAUSE_MS] = [480, 150];

/** Why a camera does not open, in words. */
function whyNot(fault: unknown): string {
  const { name = '' } = fault as Partial<DOMException>;
  if (name === 'NotAllowedError')
    return 'The camera may not be used here; allow it for this page, or type the tag.';
  if (name === 'NotFoundError') return 'This device has no camera; type the tag.';
  return 'The camera does not open; type the tag.';
}

/** What is before a camera, as points. */
function pixelsOf(video: HTMLVideoElement, canvas: HTMLCanvasElement): ImageData | undefined {
  const { videoWidth, videoHeight } = video;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context || videoWidth === 0) return undefined;
  canvas.width = Math.min(WIDE, videoWidth);
  canvas.height = Math.round((canvas.width * videoHeight) / videoWidth);
  context.drawImage(video, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

/** The camera reads the codes on tags, one after another, until it is shut. */
export function ScanTags({ onTag }: { onTag: (text: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const tell = useRef(onTag);
  const [stream, setStream] = useState<MediaStream>();
  const [problem, setProblem] = useState('');
  useEffect(() => {
    tell.current = onTag;
  }, [onTag]);
  useEffect(() => {
    const shown = video.current;
    if (!stream || !shown) return;
    const canvas = document.createElement('canvas');
    const seen = new Seen();
    shown.srcObject = stream;
    void shown.play().catch(() => undefined);
    const timer = setInterval(() => {
      const pixels = pixelsOf(shown, canvas);
      const text = pixels && seen.look(readCode(pixels));
      if (text !== undefined) tell.current(text);
    }, PAUSE_MS);
    return () => {
      clearInterval(timer);
      stream.getTracks().forEach((track) => track.stop());
    };
  }, [stream]);

  const open = async () => {
    setProblem('');
    // Browsers give the camera to pages that nobody can have changed on the way.
    if (!window.isSecureContext) {
      setProblem('The camera opens only on a page that came by https; type the tag.');
      return;
    }
    try {
      setStream(await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }));
    } catch (fault) {
      setProblem(whyNot(fault));
    }
  };
  return (
    <div className={stream ? 'w-full' : ''}>
      <button
        type="button"
        className="btn min-h-12"
        aria-pressed={stream !== undefined}
        onClick={() => (stream ? setStream(undefined) : void open())}
      >
        <ScanLine size={20} aria-hidden="true" />
        {stream ? 'Shut the camera' : 'Scan tags'}
      </button>
      {problem !== '' && (
        <p role="alert" className="mt-1 font-semibold text-error">
          {problem}
        </p>
      )}
      <video
        ref={video}
        hidden={!stream}
        muted
        playsInline
        aria-label="What the camera sees"
        className="mt-2 max-h-64 w-full rounded bg-black object-contain sm:w-80"
      />
    </div>
  );
}
