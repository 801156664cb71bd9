import { colour } from "../ui/tokens";

/** One outline round all limbs: every outline first, then every filling. */
export function Limbs({ paths, width = 8 }: { paths: string[]; width?: number }) {
  return (
    <>
      {paths.map((path, index) => (
        <path
          key={`outline ${index}`}
          className="moving"
          d={path}
          stroke={colour.body}
          strokeWidth={width}
          fill="none"
        />
      ))}
      {paths.map((path, index) => (
        <path key={`filling ${index}`} className="moving" d={path} fill={colour.bodyFill} />
      ))}
    </>
  );
}
