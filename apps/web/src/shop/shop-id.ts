/** Id of the one shop that a database holds. */
export const SHOP_ID = 'shop';
