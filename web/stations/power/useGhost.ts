/** A combination kept beside the present one, as a ghost on the charts. */
export interface Ghost {
  name: string;
  thrust: { x: number[]; y: number[] } | null;
}
