/** Words in the pictures of steps and heats. */
export const pictureText = {
  fromTheTop: "1 from the top",
  fromTheFoot: "2 from the foot",
  deep: (length: string) => `${length} deep`,
  seam: "seam",
  stamp: "stamp",
  drain: "drain",
  of: (step: string) => `Picture: ${step}`,
  onTheBlock: (joints: string) => `What lies on the block: ${joints}`,
};

export const caliperDrawingText = {
  itTouchesUpToHere: "it touches up to here",
};
