import { describeRandomPieces } from '../../../tests/support/randomPieces';

describeRandomPieces(0, 2);
