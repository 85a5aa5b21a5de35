/** The library that cuts meshes, loaded for the command line. */
import load from 'manifold-3d';
import { solidKit } from '@tide-pebble/core';

export const kit = solidKit(await load());
