import { type Piece } from "./piece";

/** Whether a picture is kept beside a stone of it. */
export function hasPictures({ mounts }: Piece): boolean {
  return mounts.some(({ stone }) => stone.picture !== undefined);
}

/** The piece without them: nothing of a plan comes from a picture. */
export function withoutPictures(piece: Piece): Piece {
  if (!hasPictures(piece)) return piece;
  const mounts = piece.mounts.map((mount) => {
    const { picture: _picture, ...stone } = mount.stone;
    return { ...mount, stone };
  });
  return { ...piece, mounts };
}
