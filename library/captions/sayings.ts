/**
 * How teachers lead into the positions that are taught most, in everyday words, beside what the library says of them.
 * Each sentence is one of many ways; what counts is its words and which of them stand together.
 */
export const ENGLISH_SAYINGS: Readonly<Record<string, readonly string[]>> = {
  'ankle-stretch': ['Sit on your heels, lean back on your hands and lift the knees off the floor a little.'],
  'bound-angle-flat': ['Flat on the back, bring the soles of the feet together and let the knees fall open.'],
  'bridge-on-block': [
    'Feet on the floor, lift your hips up and slide the block under your sacrum. Rest your weight on the block.',
  ],
  'butterfly-fold': [
    'Sit with the soles of the feet together, slide them away from you, round your back and let the head hang.',
  ],
  'butterfly-upright': ['Soles of the feet together, hold on to your ankles and sit up tall.'],
  camel: ['Stand on your knees, hands on your low back, and lean back. Hands to the heels if you like.'],
  'chair-fold': [
    'Scoot back on the chair, take the knees and feet wide, fold forward over your legs and let the arms hang down.',
  ],
  'chair-seat': ['Just sit on the chair, feet flat on the floor, hands on your thighs, sit tall and settle.'],
  'chair-twist': ['Turn to the side on the chair, hold the back rest with both hands.'],
  'child-narrow': ['Knees together, sit your hips back to your heels, fold over your thighs, arms back by your feet.'],
  'child-on-bolster': [
    'Kneel at the end of the bolster, knees on either side of it, and lay yourself down over it, one cheek on the bolster.',
  ],
  'child-wide': [
    'Big toes touch, knees wide, sit back on your heels and walk your hands forward, belly between your thighs.',
  ],
  'constructive-rest': [
    'Bend your knees, feet wide, and let the knees drop in against each other. Hands on your belly. Feet as wide as the mat.',
  ],
  'cow-face-arms': ['One arm up and down your back, the other arm behind, and hold the strap or your fingers.'],
  'crossed-thighs': ['Stack one knee on top of the other, feet out to the sides, sit between them and fold forward.'],
  'curled-ball': ['Knees together, sit on your heels, forehead down, arms alongside, round like a little stone.'],
  deer: ['One leg bent in front of you, the other leg bent behind you, both like right angles.'],
  'eagle-arms': ['One elbow under the other, wrap the forearms, or give yourself a hug.'],
  'easy-seat': ['Come to a comfortable seat, cross your legs, hands on your thighs, close the eyes and arrive.'],
  'figure-four': [
    'Bend your knees, put one ankle on the other knee, reach through and hold the back of the thigh, pull the thigh in.',
    'Cross the ankle over the thigh and draw the leg in towards you.',
  ],
  'figure-four-at-wall': ['Feet on the wall, cross one ankle over the other thigh and slide the foot down the wall.'],
  frog: [
    'On all fours take your knees out wide, feet as wide as the knees, lower to your forearms and send the hips back.',
  ],
  'half-frog': ['On your belly, bend one knee and draw it up along the floor out to the side.'],
  'hanging-fold': [
    'Stand with your feet hip width, bend your knees, fold over your legs and let the head and arms hang.',
  ],
  'half-lying-twist': [
    'One knee into the chest and take it across the body to the other side, that arm out, shoulder heavy.',
  ],
  'happy-baby': [
    'Hold the outside of your feet, knees wide towards your armpits, and rock a little from side to side.',
  ],
  'head-to-knee': ['One leg long, the sole of the other foot against the inner thigh, fold over the long leg.'],
  'heart-melting': [
    'On all fours walk your hands forward, hips above the knees, and let your chest melt to the floor.',
  ],
  'knees-to-chest': ['Hug both knees into your chest, hands on the shins, rock a little.'],
  'last-rest': [
    'Stretch your legs out long, arms by your sides, palms up, and let everything go.',
    'Lie all the way down, legs long, let the feet fall out, close the eyes.',
    'Lie out flat and cover yourself up, nothing more to do, rest here till the bell.',
  ],
  'leg-with-strap': [
    'Loop the strap around one foot and straighten that leg up to the ceiling, the other leg long or bent.',
  ],
  'legs-over-bolsters': ['Lie back and drape your knees over the bolster, blanket over you, feet fall out.'],
  'legs-up-wall': [
    'Sit sideways to the wall, one hip close, and swing your legs up the wall as you lie back.',
    'Legs up the wall, a blanket under your pelvis.',
    'Take your mat to the wall, sit with one hip against it and swing the legs up.',
  ],
  'lunge-outside': ['Foot outside the hand, a big step forward, back knee down.'],
  'lunge-hands-inside': ['Step one foot forward between your hands, slide the back knee away and let the hips sink.'],
  'prone-rest': ['Lie flat on your front, turn the head to one side, arms by your sides, and rest.'],
  'propped-rest': [
    'Bolster behind you the long way, lie back along it, legs long, a roll or a blanket under the knees.',
  ],
  'reclined-bound-angle': [
    'Lie back over the bolster, bring the soles of your feet together and let the knees fall open, support under the thighs.',
  ],
  'reclined-half-kneeling': ['Fold one leg back beside you, lean back on your hands, elbows or the bolster.'],
  'reclined-kneeling': ['Sit between your feet and lean back on your hands or lie back, knees stay down.'],
  'reclined-twist': [
    'Arms out wide, knees into your chest, and let both knees drop over to one side. Look the other way.',
    'Let the knees fall across, arms out like a T, for a twist lying on your back.',
  ],
  'seated-fold': ['Both legs out in front of you, reach up and fold forward over your legs, round the back.'],
  'seated-side-bend': ['Sit cross-legged, one hand down beside you, the other arm up and over, bend to the side.'],
  'seated-twist': ['Sit cross-legged, one hand behind you, the other hand on the opposite knee, and turn.'],
  seal: ['Hands wider and further forward, straighten your arms and lift the chest.'],
  'side-lying': [
    'Roll over onto your side, a pillow under your head, a bolster between the knees, top knee forward, hug another pillow.',
    'Lie down on your left side, blanket under the head, the bolster between the knees, the top leg supported to the ankle.',
  ],
  'sleeping-swan': [
    'Bring one knee forward behind your wrist, slide the other leg back, walk your hands forward and fold over the shin.',
  ],
  snail: ['Swing your legs up and over your head, hands on your back.'],
  sphinx: ['Slide forward onto your belly, prop yourself up on your forearms, elbows under the shoulders.'],
  squat: ['Feet wide, toes out, lower your hips down between your heels, hands together.'],
  'stacked-shins': ['Stack one shin on top of the other, ankle on the knee, knee over the ankle.'],
  'supported-cactus': ['Lie back along the bolster, arms bent like a cactus, elbows out.'],
  'swan-upright': ['One knee forward, the other leg back, stay up on your hands, chest lifted.'],
  'thread-the-needle': ['On all fours slide one arm under the other, shoulder and ear to the floor.'],
  'toes-tucked': ['Tuck your toes under and sit back on your heels.'],
  'wide-leg-fold': ['Legs wide apart in front of you, straddle, walk your hands forward and fold.'],
  'wide-legs-at-wall': ['Legs up the wall, let them slide apart as wide as they go.'],
};

/** How teachers lead into a position, beside what the library says of it. */
export const spokenWaysIn = (id: string): readonly string[] => ENGLISH_SAYINGS[id] ?? [];
