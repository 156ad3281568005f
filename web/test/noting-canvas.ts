class Path {
  readonly points: [number, number][] = [];
  moveTo(x: number, y: number) {
    this.points.push([x, y]);
  }
  lineTo(x: number, y: number) {
    this.points.push([x, y]);
  }
  closePath() {
    this.points.push(this.points[0]);
  }
}

/** What a canvas was told to draw. */
interface Noted {
  readonly what: 'fill' | 'stroke' | 'picture';
  readonly style: string;
  readonly width: number;
  readonly dash: readonly number[];
  readonly alpha: number;
  readonly path: Path | null;
}

/** A canvas in the page that only notes what it was told. */
export function notingCanvas() {
  Object.assign(globalThis, { Path2D: Path });
  const done: Noted[] = [];
  const canvas = document.createElement('canvas');
  let dash: readonly number[] = [];
  const note = (what: Noted['what'], style: string, width: number, path: Path | null) =>
    void done.push({ what, style, width, dash, alpha: context.globalAlpha, path });
  const context = {
    canvas,
    fillStyle: '',
    strokeStyle: '',
    lineWidth: 1,
    globalAlpha: 1,
    fill: (path: Path) => note('fill', context.fillStyle, 0, path),
    stroke: (path?: Path) => note('stroke', context.strokeStyle, context.lineWidth, path ?? null),
    drawImage: ({ name }: { name: string }) => note('picture', name, 0, null),
    setTransform: jest.fn(),
    clearRect: () => void done.splice(0),
    setLineDash: (lengths: readonly number[]) => (dash = lengths),
    createPattern: () => null,
    beginPath: jest.fn(),
    moveTo: jest.fn(),
    lineTo: jest.fn(),
  };
  Object.assign(globalThis, {
    OffscreenCanvas: class {
      getContext = () => null;
    },
  });
  Object.assign(canvas, { getContext: () => context });
  document.body.append(canvas);
  return { canvas, context: context as unknown as CanvasRenderingContext2D, done };
}
