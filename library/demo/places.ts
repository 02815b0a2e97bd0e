import { newPlace, type Place } from '#core/cupboard';

export interface DemoPlace {
  id: string;
  place: Place;
}

/** The two rooms of an invented hall by an estuary, and what its teacher keeps at home. */
export const demoPlaces: readonly DemoPlace[] = [
  {
    id: 'demo-low-room',
    place: {
      ...newPlace('Wrackline Hall, low room', 'hall'),
      note: 'Key at the ferry office. The long cupboard sticks: lift the door.',
      stock: {
        flatBolster: 10,
        roundBolster: 4,
        block: 26,
        blanket: 30,
        cushion: 8,
        pillow: 6,
        strap: 12,
        chair: 20,
        sandbag: 4,
        eyePillow: 12,
        towel: 6,
      },
      own: [
        {
          kind: {
            label: 'kneeling bench',
            faces: [
              { label: 'on its feet', size: { shape: 'box', widthCm: 48, depthCm: 18, heightCm: 19, giveCm: 0 } },
            ],
          },
          count: 3,
        },
      ],
      mats: { count: 14, widthCm: 60, lengthCm: 180, gapCm: 40 },
      floor: { widthCm: 820, lengthCm: 610 },
      wallCm: 400,
    },
  },
  {
    id: 'demo-boat-loft',
    place: {
      ...newPlace('Wrackline Hall, boat loft', 'hall'),
      note: 'Windows all round: nobody can lie with the legs up a wall here. Warm in the evening.',
      stock: { chair: 24, blanket: 26, cushion: 8, block: 16 },
      mats: { count: 16, widthCm: 60, lengthCm: 180, gapCm: 35 },
      floor: { widthCm: 1080, lengthCm: 520 },
      wallCm: 0,
    },
  },
  {
    id: 'demo-garden-room',
    place: {
      ...newPlace('Garden room', 'home'),
      note: 'My own store. What a class elsewhere needs is packed from here.',
      stock: {
        flatBolster: 8,
        roundBolster: 2,
        block: 24,
        blanket: 18,
        cushion: 10,
        pillow: 8,
        halfMoon: 6,
        strap: 10,
        sandbag: 6,
        eyePillow: 10,
        towel: 12,
        book: 20,
        belt: 6,
        chair: 2,
      },
      mats: { count: 4, widthCm: 60, lengthCm: 180, gapCm: 30 },
      floor: { widthCm: 420, lengthCm: 380 },
      wallCm: 240,
    },
  },
];
