import { useQueryClient } from "@tanstack/react-query";

/** Whatever is worked out from the catalogue is asked anew once it has changed. */
export function useLaddersChanged() {
  const client = useQueryClient();
  return async () => {
    await Promise.all(
      ["ladders", "footprints", "fits", "lesson"].map((key) => client.invalidateQueries({ queryKey: [key] })),
    );
  };
}
