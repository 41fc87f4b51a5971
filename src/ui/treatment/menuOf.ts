/** The treatment that a menu is of. */
export interface MenuOf {
  readonly id: string;
  readonly pieceId: string;
  readonly title: string;
}
