/** Horses with the name of their owner. */
export const SUMMARY =
  'SELECT h.*, o.name AS owner_name FROM horses h LEFT JOIN owners o ON o.id = h.owner_id'
