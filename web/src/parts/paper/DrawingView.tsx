import type { Drawing, Ink, Shape } from '@aurora/core';

const INKS: Readonly<Record<Ink, string>> = {
  ink: 'var(--ink)',
  quiet: 'var(--quiet)',
  line: 'var(--edge)',
  accent: 'var(--accent)',
  'on-accent': 'var(--on-accent)',
  paper: 'var(--raised)',
};

const PRINTED: Readonly<Record<Ink, string>> = {
  ink: '#111',
  quiet: '#555',
  line: '#777',
  accent: '#111',
  'on-accent': '#fff',
  paper: '#fff',
};

interface DrawingViewProps {
  readonly drawing: Drawing;
  readonly className?: string;
  /** Black on white whatever the theme. */
  readonly printed?: boolean;
  /** Hidden from screen readers, where the words beside it say the same. */
  readonly decorative?: boolean;
}

/** A drawing of the core on the screen, in the theme's inks. */
export function DrawingView({ drawing, className, printed = false, decorative = false }: DrawingViewProps) {
  const inks = printed ? PRINTED : INKS;
  return (
    <svg
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      className={className}
      role="img"
      aria-label={drawing.label}
      aria-hidden={decorative}
    >
      {drawing.shapes.map((shape, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: marks have no name but their place
        <Mark key={index} shape={shape} inks={inks} />
      ))}
    </svg>
  );
}

function Mark({ shape, inks }: { readonly shape: Shape; readonly inks: Readonly<Record<Ink, string>> }) {
  switch (shape.kind) {
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} stroke={inks[shape.ink]} strokeWidth={shape.width} />;
    case 'rect':
      return <rect x={shape.x} y={shape.y} width={shape.width} height={shape.height} rx={shape.radius} fill={inks[shape.fill]} />;
    case 'circle':
      return <circle cx={shape.x} cy={shape.y} r={shape.radius} {...painted(shape, inks)} />;
    case 'path':
      return <path d={shape.d} {...painted(shape, inks)} />;
    case 'text':
      return (
        <text
          x={shape.x}
          y={shape.y}
          fontSize={shape.size}
          textAnchor={shape.anchor}
          fontWeight={shape.face === 'text' ? 400 : 700}
          className={shape.face === 'numeral' ? 'font-numeral' : undefined}
          fill={inks[shape.ink]}
        >
          {shape.text}
        </text>
      );
  }
}

function painted(
  { fill, stroke, width }: { readonly fill: Ink | null; readonly stroke: Ink | null; readonly width: number },
  inks: Readonly<Record<Ink, string>>,
) {
  return { fill: fill === null ? 'none' : inks[fill], stroke: stroke === null ? undefined : inks[stroke], strokeWidth: width };
}
