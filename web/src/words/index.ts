import { common } from './common';
import { staff } from './staff';

/** All wording of the teacher's screens. */
export const words = { ...staff, common: { ...common, ...staff.common } };
export { count, list } from './common';
