import { PARTS, type Part } from '@/core/workspace/room';

/** Which part of the room is shown, from an address. */
export function showOf(text: string | undefined): Part {
  return PARTS.find((one) => one === text) ?? 'panels';
}
