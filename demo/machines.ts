/** Routes of the demo by the system they end in; what they are made of comes from the advice (`surveys.ts`). */
export type RouteName =
  | 'epoxy'
  | 'mastic'
  | 'coach'
  | 'aero'
  | 'float'
  | 'panel'
  | 'heat'
  | 'zinc'
  | 'etchmistake'
  | 'oldstock'
  | 'oiled'
  | 'referred'
  | 'manifold';

/** The demo's machines, part by part: invented, with a route and the state each is to be in. */
export interface PartLine {
  readonly name: string;
  readonly substrate: string;
  readonly massKg: number;
  readonly areaM2: number;
  readonly thicknessMm: number;
  readonly faces: 1 | 2;
  readonly route: RouteName;
  readonly place: 'booth' | 'shed' | 'leanto';
  readonly state: string;
  readonly colourGroup: string | null;
}

/** name | substrate | kg | m² | mm | faces | route | place | state | colour group */
function parts(text: string): PartLine[] {
  return text
    .trim()
    .split('\n')
    .map((line) => {
      const [name, substrate, massKg, areaM2, thicknessMm, faces, route, place, state, colourGroup] = line
        .split('|')
        .map((c) => c.trim());
      return {
        name: name!,
        substrate: substrate!,
        massKg: Number(massKg),
        areaM2: Number(areaM2),
        thicknessMm: Number(thicknessMm),
        faces: Number(faces) as 1 | 2,
        route: route as RouteName,
        place: place as PartLine['place'],
        state: state!,
        colourGroup: colourGroup === undefined || colourGroup === '' ? null : colourGroup,
      };
    });
}

export const MACHINES = [
  {
    machineId: 'quarry',
    name: 'Quarry tank No. 4',
    kind: 'narrow-gauge saddle-tank locomotive',
    assemblies: [
      {
        name: 'Frames',
        parts: parts(`
        Main frame, left      | steel-plate | 480 | 6.2 | 16 | 1 | epoxy  | booth | closing-soon | lining green
        Main frame, right     | steel-plate | 480 | 6.2 | 16 | 1 | epoxy  | booth | closing | lining green
        Front buffer beam     | steel-plate | 140 | 1.9 | 20 | 1 | mastic | shed  | open | beam red
        Rear buffer beam      | steel-plate | 150 | 2.0 | 20 | 1 | mastic | leanto | held-open | beam red
        Drag box              | steel-plate | 90  | 1.4 | 12 | 1 | mastic | shed  | early |
        Frame stretcher       | cast-steel  | 65  | 0.9 | 22 | 1 | zinc   | booth | open |
        Horn guides           | cast-steel  | 38  | 0.5 | 18 | 1 | epoxy  | shed  | waiting |
        Spring hangers        | steel-plate | 16  | 0.4 | 12 | 1 | epoxy  | booth | keyed |`),
      },
      {
        name: 'Boiler and smokebox',
        parts: parts(`
        Smokebox door         | steel-plate | 60  | 1.1 | 10 | 1 | heat   | booth | early |
        Chimney               | grey-iron   | 85  | 0.8 | 14 | 1 | heat   | booth | open-wet-on-wet |
        Smokebox saddle       | grey-iron   | 220 | 2.1 | 25 | 1 | heat   | shed  | waiting |
        Dome cover            | steel-sheet | 12  | 0.7 | 1.6 | 1 | panel | booth | tested | lining green
        Boiler cleading       | steel-sheet | 46  | 3.8 | 1.6 | 2 | panel | booth | faces | lining green
        Ashpan                | steel-plate | 70  | 1.6 | 6 | 1 | heat   | shed  | baked |`),
      },
      {
        name: 'Tank and cab',
        parts: parts(`
        Saddle tank           | steel-plate | 310 | 5.4 | 6 | 1 | panel  | booth | early-second | lining green
        Cab side, left        | steel-sheet | 34  | 1.8 | 3 | 2 | coach  | booth | lift | lining green
        Cab side, right       | steel-sheet | 34  | 1.8 | 3 | 2 | coach  | booth | lift | lining green
        Cab roof              | steel-sheet | 52  | 2.6 | 3 | 2 | mastic | shed  | early-second |
        Bunker                | steel-plate | 96  | 2.2 | 5 | 1 | epoxy  | booth | shut |
        Handrails             | stainless   | 9   | 0.3 | 3 | 1 | epoxy  | shed  | waiting |`),
      },
    ],
  },
  {
    machineId: 'saltern',
    name: 'Saltern floatplane',
    kind: 'single-engine floatplane',
    assemblies: [
      {
        name: 'Tail',
        parts: parts(`
        Elevator, port        | aluminium-wrought | 6.2 | 1.3 | 0.8 | 2 | aero | booth | open-wet-on-wet | signal cream
        Elevator, starboard   | aluminium-wrought | 6.2 | 1.3 | 0.8 | 2 | aero | booth | open-etch | signal cream
        Rudder                | aluminium-wrought | 7.4 | 1.6 | 0.8 | 2 | aero | booth | curing-fresh | signal cream
        Fin                   | aluminium-wrought | 8.8 | 1.9 | 0.9 | 2 | aero | booth | curing | signal cream
        Tailplane             | aluminium-wrought | 13  | 2.9 | 0.9 | 2 | aero | booth | early-second | signal cream`),
      },
      {
        name: 'Wing',
        parts: parts(`
        Aileron, port         | aluminium-wrought | 4.6 | 0.9 | 0.8 | 2 | aero | booth | bare-abraded | signal cream
        Aileron, starboard    | aluminium-wrought | 4.6 | 0.9 | 0.8 | 2 | aero | shed  | waiting | signal cream
        Wing float, spare     | aluminium-wrought | 11 | 2.1 | 1.2 | 2 | aero | booth | two-years | signal cream
        Flap, port            | aluminium-wrought | 5.8 | 1.1 | 0.8 | 2 | aero | booth | cured | signal cream
        Flap, starboard       | aluminium-wrought | 5.8 | 1.1 | 0.8 | 2 | aero | booth | cured | signal cream
        Strut fairings        | aluminium-wrought | 2.2 | 0.6 | 0.7 | 1 | etchmistake | booth | refused |`),
      },
      {
        name: 'Floats and engine',
        parts: parts(`
        Float, port           | aluminium-wrought | 64  | 6.8 | 1.6 | 1 | float | shed | waiting | hull grey
        Float, starboard      | aluminium-wrought | 64  | 6.8 | 1.6 | 1 | float | shed | waiting | hull grey
        Float hatch covers    | aluminium-wrought | 1.4 | 0.3 | 1.2 | 2 | aero | booth | early-second | hull grey
        Engine cowling        | aluminium-wrought | 5.1 | 1.2 | 0.8 | 2 | aero | booth | lift |
        Gearbox case          | magnesium         | 11  | 0.4 | 8 | 1 | referred | shed | waiting |
        Carburettor body      | zinc-diecast      | 2.1 | 0.08 | 4 | 1 | epoxy | booth | bare-abraded |`),
      },
    ],
  },
  {
    machineId: 'fenland',
    name: 'Fenland 30 crawler',
    kind: 'crawler tractor',
    assemblies: [
      {
        name: 'Bodywork',
        parts: parts(`
        Bonnet top            | steel-sheet | 14  | 1.2 | 1.5 | 2 | panel | booth | early-second | harvest ochre
        Bonnet side, left     | steel-sheet | 9   | 0.8 | 1.5 | 2 | panel | booth | open-second | harvest ochre
        Bonnet side, right    | steel-sheet | 9   | 0.8 | 1.5 | 2 | panel | booth | tested | harvest ochre
        Radiator shell        | grey-iron   | 48  | 0.9 | 9 | 1 | epoxy | booth | early-tacky | harvest ochre
        Seat pan              | steel-sheet | 7   | 0.6 | 3 | 2 | coach | booth | lift |
        Fuel tank             | steel-sheet | 18  | 1.1 | 1.8 | 1 | epoxy | booth | keyed-dusty | harvest ochre
        Toolbox               | steel-sheet | 5   | 0.5 | 1.5 | 2 | oldstock | booth | unknown |`),
      },
      {
        name: 'Tracks and frame',
        parts: parts(`
        Track frame, left     | cast-steel  | 260 | 2.8 | 24 | 1 | mastic | shed | open | chassis grey
        Track frame, right    | cast-steel  | 260 | 2.8 | 24 | 1 | mastic | shed | open | chassis grey
        Drive sprocket        | cast-steel  | 74  | 0.7 | 30 | 1 | mastic | leanto | held-open | chassis grey
        Idler wheel           | grey-iron   | 58  | 0.6 | 26 | 1 | mastic | leanto | phosphated | chassis grey
        Track rollers         | grey-iron   | 120 | 1.2 | 28 | 1 | mastic | shed | waiting | chassis grey
        Rear axle case        | grey-iron   | 190 | 1.7 | 18 | 1 | epoxy | shed | curing | chassis grey
        Drawbar               | steel-plate | 22  | 0.4 | 20 | 1 | zinc | booth | closing | `),
      },
    ],
  },
  {
    machineId: 'pump',
    name: 'Twin-cylinder pump engine',
    kind: 'stationary engine',
    assemblies: [
      {
        name: 'Engine',
        parts: parts(`
        Cylinder block        | grey-iron | 310 | 2.4 | 60 | 1 | mastic| leanto | phosphated | engine green
        Cylinder head, front  | grey-iron | 46  | 0.5 | 22 | 1 | heat  | booth | open-wet-on-wet |
        Cylinder head, rear   | grey-iron | 46  | 0.5 | 22 | 1 | heat  | shed  | waiting |
        Rocker cover          | grey-iron | 9   | 0.3 | 6 | 1 | epoxy  | booth | bare | engine green
        Sump                  | grey-iron | 54  | 0.9 | 9 | 1 | epoxy  | booth | out | engine green
        Timing cover          | aluminium-cast | 6 | 0.25 | 6 | 1 | aero | booth | early-second | engine green
        Flywheel              | grey-iron | 240 | 1.3 | 70 | 1 | epoxy | shed | shut | engine green
        Push rods             | steel-plate | 2 | 0.06 | 12 | 1 | oiled | shed | waiting |
        Manifold              | grey-iron | 14 | 0.3 | 7 | 1 | manifold | shed | waiting | engine green
        Governor housing      | aluminium-cast | 4 | 0.2 | 5 | 1 | aero | booth | open-etch | engine green`),
      },
      {
        name: 'Pump',
        parts: parts(`
        Pump body             | grey-iron | 130 | 1.1 | 20 | 1 | epoxy | leanto | suspect | engine green
        Impeller cover        | grey-iron | 34  | 0.4 | 14 | 1 | epoxy | booth | early-stacked | engine green
        Suction bend          | grey-iron | 28  | 0.4 | 12 | 1 | epoxy | booth | early | engine green
        Delivery bend         | grey-iron | 28  | 0.4 | 12 | 1 | epoxy | booth | closing | engine green
        Base plate            | grey-iron | 180 | 1.8 | 25 | 1 | mastic | shed | early | chassis grey
        Lubricator            | copper-alloy | 1.8 | 0.06 | 4 | 1 | aero | booth | bare-abraded |`),
      },
    ],
  },
  {
    machineId: 'van',
    name: 'Estuary van chassis',
    kind: 'vehicle chassis',
    assemblies: [
      {
        name: 'Chassis',
        parts: parts(`
        Chassis rail, left    | steel-plate | 38  | 1.9 | 4 | 1 | mastic | leanto | phosphated | chassis black
        Chassis rail, right   | steel-plate | 38  | 1.9 | 4 | 1 | mastic | leanto | suspect | chassis black
        Cross member, front   | steel-plate | 9   | 0.5 | 4 | 1 | mastic | booth | closing-soon | chassis black
        Cross member, centre  | steel-plate | 8   | 0.5 | 4 | 1 | zinc   | booth | open | chassis black
        Cross member, rear    | steel-plate | 9   | 0.5 | 4 | 1 | epoxy  | booth | shut | chassis black
        Body mounts           | steel-plate | 6   | 0.4 | 5 | 1 | zinc   | booth | bare | chassis black
        Bumper irons          | galvanised  | 5   | 0.3 | 4 | 1 | epoxy  | shed | bare-abraded | chassis black`),
      },
      {
        name: 'Running gear',
        parts: parts(`
        Front axle beam       | cast-steel  | 31  | 0.5 | 28 | 1 | epoxy | booth | keyed | chassis black
        Leaf springs          | steel-plate | 44  | 1.1 | 8 | 1 | mastic | shed | waiting | chassis black
        Brake drums           | grey-iron   | 28  | 0.7 | 10 | 1 | heat | booth | baked |
        Wheel, spare          | steel-sheet | 8   | 0.7 | 3 | 2 | coach | booth | cured | chassis black
        Wheels                | steel-sheet | 32  | 2.8 | 3 | 2 | coach | booth | lift | chassis black
        Fuel tank straps      | steel-sheet | 1   | 0.1 | 2 | 1 | epoxy | booth | curing | chassis black
        Battery tray          | steel-sheet | 2   | 0.2 | 2 | 2 | epoxy | booth | open-second | chassis black`),
      },
    ],
  },
] as const;
