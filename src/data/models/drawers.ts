import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { SupplyUnit } from '@/core/stock/amount';
import type { BeadShape } from '@/core/bead/bead';
import type { FindingKind } from '@/core/stock/finding';
import type { Vec } from '@/core/geometry/vector';
import type { HoleAxis, OutlineKind } from '@/core/stone/stone';
import type { Micrometres } from '@/core/units/length';
import { json, keyId, moment, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** A photograph, made small and stripped of everything but the picture. Never changed. */
export class Photo extends StudioModel<InferAttributes<Photo>, InferCreationAttributes<Photo>> {
  declare photoId: string;
  declare mediaType: string;
  declare width: number;
  declare height: number;
  declare bytes: Buffer;
  declare takenIn: Date;
}

/** One kind of bead. Never changed once written. */
export class Bead extends StudioModel<InferAttributes<Bead>, InferCreationAttributes<Bead>> {
  declare articleId: string;
  declare material: string;
  declare shape: BeadShape;
  declare minUm: Micrometres;
  declare maxUm: Micrometres;
  declare holeUm: Micrometres;
}

/** One stone as it was measured. */
export class Stone extends StudioModel<InferAttributes<Stone>, InferCreationAttributes<Stone>> {
  declare articleId: string;
  declare material: string;
  declare outline: OutlineKind;
  declare lengthUm: Micrometres;
  declare widthUm: Micrometres;
  declare depthUm: Micrometres;
  /** Height of its edge, which the holds go round. */
  declare edgeUm: Micrometres;
  declare holeAxis: HoleAxis;
  declare holeUm: Micrometres;
  /** Places of its edge, mm from the middle of its measures; none while it was not traced. */
  declare traced: CreationOptional<readonly Vec[]>;
}

/** One kind of finding. Never changed once written. */
export class Finding extends StudioModel<InferAttributes<Finding>, InferCreationAttributes<Finding>> {
  declare articleId: string;
  declare finding: FindingKind;
  declare material: string;
  declare size: string;
}

/** One supply: polish, antiquing, packaging. */
export class Supply extends StudioModel<InferAttributes<Supply>, InferCreationAttributes<Supply>> {
  declare articleId: string;
  declare unit: SupplyUnit;
  /** Thousandths of the unit that every finished piece uses up. */
  declare perPiece: number;
}

export function initDrawerModels(sequelize: Sequelize): void {
  tieTable(sequelize, Photo, 'photos', {
    photoId: keyId(),
    mediaType: text(),
    width: number(),
    height: number(),
    bytes: { type: DataTypes.BLOB, allowNull: false },
    takenIn: moment(),
  });
  tieTable(sequelize, Bead, 'beads', {
    articleId: keyId(),
    material: text(),
    shape: text(),
    minUm: number(),
    maxUm: number(),
    holeUm: number(),
  });
  tieTable(sequelize, Stone, 'stones', {
    articleId: keyId(),
    material: text(),
    outline: text(),
    lengthUm: number(),
    widthUm: number(),
    depthUm: number(),
    edgeUm: number(),
    holeAxis: text(),
    holeUm: number(),
    traced: { ...json(), defaultValue: [] },
  });
  tieTable(sequelize, Finding, 'findings', {
    articleId: keyId(),
    finding: text(),
    material: text(),
    size: text(),
  });
  tieTable(sequelize, Supply, 'supplies', { articleId: keyId(), unit: text(), perPiece: whole() });
}
