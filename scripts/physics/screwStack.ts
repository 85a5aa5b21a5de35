import { frameFraction, pinPlay } from '@tide-pebble/core';
import {
  preload,
  requiredEngagement,
  screwFit,
  slipTwist,
  stackHeight,
  suitableLengths,
  withFewestWashers,
} from '@tide-pebble/core/making';
import type { CaseKind, Given } from '../physicsCase';

export const screwStack: CaseKind = {
  kind: 'screwStack',
  compute: (given) => ({
    ...(given['layers'] ? stack(given) : {}),
    ...(given['play'] ? play(given['play']) : {}),
    ...(given['clamp'] ? clamp(given['clamp']) : {}),
  }),
};

function stack(given: Given): Given {
  const socket = {
    threadDiameter: given['threadDiameter'],
    pitch: given['pitch'],
    depth: given['socketDepth'] ?? null,
    engagementDiameters: given['engagementDiameters'] ?? 0,
  };
  const { layers, screwLength, stockLengths } = given;
  const washer = given['spareWasher']?.thickness ?? given['spareWasherThickness'] ?? given['spareWasher'];
  const suitable = stockLengths ? suitableLengths(stockLengths, layers, socket) : [];
  return {
    stackHeight: stackHeight(layers),
    requiredEngagement: requiredEngagement(socket),
    ...(screwLength === undefined ? {} : screwFit(screwLength, layers, socket)),
    ...(stockLengths ? { suitableLengths: suitable, shortestSuitable: suitable[0] ?? null } : {}),
    ...(stockLengths && typeof washer === 'number'
      ? { withFewestSpareWashers: withFewestWashers(stockLengths, layers, socket, washer) }
      : {}),
  };
}

function play(given: Given): Given {
  const angle = pinPlay(given as Parameters<typeof pinPlay>[0]);
  return {
    playAngleEachWay: angle,
    ...(given['focalLength']
      ? { playFractionOfFrameWidth: frameFraction(angle, given['sensorWidth'], given['focalLength']) }
      : {}),
  };
}

function clamp(given: Given): Given {
  const force: number = given['preload'] ?? preload(given['torque'], given['nutFactor'], given['threadDiameter']);
  return {
    preload: force,
    twistTorqueUniformPressure: slipTwist(given['friction'], force, given['ringOuterRadius'], given['ringInnerRadius']),
    ...(given['stressArea'] ? { threadStress: force / given['stressArea'] } : {}),
  };
}
