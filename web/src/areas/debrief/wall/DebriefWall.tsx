// The class page, with what is shown to everybody.
import { WallPage as LivePage } from '../../live/wall/WallPage';
import { AroundWall } from './AroundWall';

export const WallPage = () => <LivePage Around={AroundWall} />;
