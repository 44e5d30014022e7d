import { describeRandomPieces } from '../../../tests/support/randomPieces';

describeRandomPieces(1, 2);
