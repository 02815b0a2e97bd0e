import type { Teaching } from './teaching';

/** What goes wrong and what is seen from outside, of positions that lie on the back or side, or are at the wall. */
export const LYING_AND_AT_THE_WALL: Readonly<Record<string, Teaching>> = {
  'last-rest': {
    mistakes: 'Being left without warmth or an end. Say how long it will be, cover them, and then say no more.',
    watch:
      'Look for fingers that tap and eyes that open: they may need weight, or their knees up. Snoring asks for a turn of the head.',
  },
  'knees-in-rest': {
    mistakes: 'Placing the bolster under the thighs or the calves. Say: right behind the knees, so that nothing hangs.',
    watch: 'Heels touch the floor or hang a little. A chin that points up asks for a blanket under the head.',
  },
  'propped-rest': {
    mistakes: 'Sitting away from the slope, so that the low back hangs. Say: slide back until the bolster touches you.',
    watch:
      'The head lies higher than the chest, and the chest higher than the hips. Sliding down means more under the knees.',
  },
  'constructive-rest': {
    mistakes: 'Holding the knees up with the thighs. Say: feet wider, and let the knees fall against each other.',
    watch: 'The feet should not slide away. If the inner knees are sore, put a folded cloth between them.',
  },
  'weighted-rest': {
    mistakes: 'Choosing a weight to show how much can be borne. Say: as much as you would not notice after a minute.',
    watch: 'Stay where you can help to lift it off. Quick breathing or a hand on the weight means take it away.',
  },
  'legs-parallel-held': {
    mistakes: 'Tying the legs tightly. Say: the strap holds what would otherwise fall, and no more.',
    watch:
      'Feet stay warm and keep their colour. Watch for anyone who does not like to be tied, and take the strap off.',
  },
  'over-three-rolls': {
    mistakes: 'Lying with the middle roll under the low back. Say: it belongs under the shoulder blades.',
    watch:
      'The throat is soft and the chin is not the highest point of the face. Arms that hover want folded blankets.',
  },
  'fish-over-blankets': {
    mistakes: 'Letting the head fall back over the end. Say: a second blanket for the head, always.',
    watch: 'Look along the body: forehead a little higher than chin. A low back that lifts wants bent knees.',
  },
  'fish-on-bolster': {
    mistakes: 'Lying with the bolster under the waist. Say: its end is at the bottom ribs.',
    watch:
      'Ribs open without effort; shoulders touch or hang freely. Anyone who swallows with difficulty needs a higher head.',
  },
  'supported-cactus': {
    mistakes: 'Pressing the backs of the hands down. Say: let them hang in the air or on a blanket until they land.',
    watch: 'The low ribs should not lift. Hands that tingle come down beside the body.',
  },
  'reclined-bound-angle': {
    mistakes: 'Leaving the thighs to hang. Say: fill the space under them until you feel nothing pull.',
    watch:
      'Knees that tremble or a hand that goes to the groin ask for more support. See whether the bolster touches the low back.',
  },
  'bound-angle-flat': {
    mistakes: 'Letting the low back arch while the knees are forced open. Say: feet further away.',
    watch: 'Both knees are about as high. After some minutes look again: legs that were fine may now be tired.',
  },
  'bound-angle-pillows': {
    mistakes: 'Building it half and then moving everything. Say: place every pillow before you lie down.',
    watch: 'Look for gaps under elbows, thighs and head. Nothing should be held in the air.',
  },
  'reclined-cross-legged': {
    mistakes: 'Crossing the legs tightly. Say: feet under the knees, and let the shins be soft.',
    watch: 'The low back rests against the bolster. If a foot goes to sleep, change or uncross the legs.',
  },
  'bridge-on-bolster': {
    mistakes: 'Lying with the bolster under the low back. Say: it belongs under the bony part, below the waist.',
    watch: 'Feet stand as wide as the hips. Pinching in the low back goes away with a lower support.',
  },
  'bridge-on-block': {
    mistakes: 'Taking the highest side of the block first. Say: flat to begin with; you can turn it later.',
    watch: 'The block lies across the sacrum and does not tip. Thighs should not fall outwards.',
  },
  'bridge-on-two-bolsters': {
    mistakes: 'Stopping with the shoulders in the air. Say: slide towards the head until they touch the floor.',
    watch: 'The throat stays soft and the chin is not pressed down. Legs lie at the same height as the trunk.',
  },
  'legs-up-from-bolster': {
    mistakes: 'Holding the legs up with the belly. Say: stack them over the hips until they weigh nothing.',
    watch: 'If the legs shake, bend the knees or go to the wall. The chin should not be pushed into the chest.',
  },
  'half-plough-on-chair': {
    mistakes: 'Turning the head to look round. Say: eyes up, head still, from the first moment to the last.',
    watch: 'Check the throat, the face and the height of the shoulders. Nobody is left alone in this one.',
  },
  'back-bend-on-chair': {
    mistakes: 'Lying so far over that the head hangs. Say: the head lands before the hands let go.',
    watch:
      'The edge of the seat is below the shoulder blades, not at the ribs’ end. Help everyone out of it by the hands.',
  },
  snail: {
    mistakes:
      'Pressing the chin and pushing for the feet to land. Say: the weight is on the shoulders, or you come down.',
    watch: 'Look at the neck from the side: there must be air behind it. A red face, or hands that push hard, end it.',
  },
  'knees-to-chest': {
    mistakes: 'Pulling the knees with raised shoulders. Say: arms long, shoulders on the floor.',
    watch: 'The tailbone stays heavy. Knees may be apart where there is a belly.',
  },
  'happy-baby': {
    mistakes: 'Lifting the head and the tail to reach the feet. Say: hold the shins or a strap.',
    watch: 'Feet stand over the knees. If the sacrum is in the air, let the legs go higher.',
  },
  'half-happy-baby': {
    mistakes: 'Pulling the foot towards the head. Say: pull the knee down to the floor beside you.',
    watch: 'The other leg stays on the floor. A shoulder that lifts asks for a strap.',
  },
  'figure-four': {
    mistakes: 'Pulling so hard that the head lifts. Say: a blanket under the head, and hold lower.',
    watch: 'The crossed foot stays bent. If the tail curls off the floor, the leg is too close.',
  },
  'figure-four-at-wall': {
    mistakes: 'Lying so close that the tail lifts. Say: slide away until it is heavy again.',
    watch: 'The foot on the wall is at the height of the knee. Nothing should be felt in the crossed knee.',
  },
  'leg-with-strap': {
    mistakes: 'Straightening the knee by force. Say: bend it a little and lengthen the heel.',
    watch: 'The other leg stays long on the floor, or bends on purpose. Shoulders rest.',
  },
  'leg-to-side-with-strap': {
    mistakes: 'Letting the pelvis roll after the leg. Say: as far as both sides of the pelvis stay.',
    watch: 'The foot keeps its shape and is not dragged by the strap. The other hip is heavy.',
  },
  'reclined-twist': {
    mistakes: 'Pressing the knees down with the hand. Say: put something under them instead.',
    watch: 'Knees lie one on the other. A far shoulder that is high in the air can have a blanket under it.',
  },
  'crossed-twist': {
    mistakes: 'Crossing the legs twice and pulling. Say: once is enough for most hips.',
    watch: 'Look for a low back that bends sideways: shift the hips again. Breath should reach the upper ribs.',
  },
  'twist-legs-on-bolster': {
    mistakes: 'Leaving the bolster too far away. Say: draw it in until the thighs lie on it too.',
    watch: 'Both shoulders are nearly on the floor. If the knees slide off, turn the bolster along the legs.',
  },
  'wide-feet-twist': {
    mistakes: 'Lifting the hip to get the knee down. Say: the knee may hang, the back may not pinch.',
    watch: 'Feet stay wide and their edges may lift. See whether the inner knee is comfortable.',
  },
  'half-lying-twist': {
    mistakes: 'Turning further than the bolster supports you. Say: let the back lean into it.',
    watch: 'Head and shoulders are supported without a gap. The upper arm should not drag the shoulder back.',
  },
  'cat-pulling-tail': {
    mistakes: 'Pulling the foot to the seat. Say: press the foot away, and the thigh lengthens.',
    watch: 'The straight leg stays well forward. A low back that arches hard means let go of the foot.',
  },
  'lateral-bend-lying': {
    mistakes: 'Lifting one hip off the floor to bend further. Say: both hips stay, and the feet walk.',
    watch: 'From above, the body makes one even curve. Shoulders and hips stay flat.',
  },
  'side-lying': {
    mistakes: 'Giving the head too little. Say: as high as the shoulder is wide.',
    watch: 'Look along the back: nose, breastbone and navel in one line. The upper knee lies as high as the hip.',
  },
  'left-side-nest': {
    mistakes: 'Letting the belly hang without support. Say: a folded towel under it, if it pulls.',
    watch: 'Ask once, early, what is still in the way. Pale lips, quick breath or a headache are a reason to stop.',
  },
  'side-bend-on-bolster': {
    mistakes: 'Lying with the bolster under the ribs. Say: it fills the waist, between hip and ribs.',
    watch: 'Hips are stacked and do not roll back. A neck that hangs wants something under the head.',
  },
  'legs-over-bolsters': {
    mistakes: 'Lying too far away, so that the knees lock. Say: come closer, until the thighs stand.',
    watch: 'The backs of the knees are at the edge, and the heels rest. A low back that arches wants a lower stack.',
  },
  'calves-on-chair': {
    mistakes: 'Lying so far away that only the heels rest. Say: slide in until the calves lie from knee to heel.',
    watch: 'Thighs stand nearly upright. Numb feet mean the edge presses: pad it.',
  },
  'calves-on-chair-raised': {
    mistakes: 'Lifting the pelvis so high that the chin presses the throat. Say: half as high.',
    watch: 'The weight is on the shoulders, not on the neck. Watch how they come down, and let them lie flat first.',
  },
  'legs-up-wall': {
    mistakes: 'Working to bring the seat close to the wall. Say: as far away as the legs like.',
    watch: 'Knees are soft. Feet that turn white or tingle come down against the wall.',
  },
  'legs-up-wall-blankets': {
    mistakes: 'Sliding off the blankets head first. Say: the tail tips into the gap by the wall.',
    watch: 'The belly is flat and the throat is free. A face that turns red asks for a lower support.',
  },
  'legs-up-wall-belly': {
    mistakes: 'Laying the weight on the ribs. Say: between navel and hip bones.',
    watch: 'The weight rises and falls with the breath. If the breath moves up into the chest, take it away.',
  },
  'diamond-at-wall': {
    mistakes: 'Pushing the knees to the wall. Say: let the hands lie, and the knees do as they like.',
    watch: 'Soles stay together without sliding. Inner thighs that shake want blankets on the outside.',
  },
  'wide-legs-at-wall': {
    mistakes: 'Letting the legs fall open at once. Say: slide them, and stop before it pulls.',
    watch: 'Both legs are open alike. Bring them together with the hands, never with a swing.',
  },
  'curled-ball': {
    mistakes: 'Pulling the head up with the neck alone. Say: let the arms bring the knees instead.',
    watch: 'The breath goes on. If the neck trembles, the head stays down.',
  },
  'rocking-on-the-back': {
    mistakes: 'Rolling onto the neck. Say: to the shoulder blades and back.',
    watch: 'Backs stay round; a back that thumps on the floor needs a softer mat. Make sure there is room behind.',
  },
  'pelvic-tilt': {
    mistakes: 'Pressing with the feet and the buttocks. Say: small enough that nobody sees it.',
    watch: 'The head does not nod along. Breath and movement go together after a while.',
  },
  'knee-circles': {
    mistakes: 'Making large circles with the low back in the air. Say: circles the size of a plate.',
    watch: 'The sacrum stays on the floor. Shoulders rest and the hands only steer.',
  },
  'ankle-circles': {
    mistakes: 'Turning the whole leg. Say: the shin is still, only the foot goes round.',
    watch: 'The thigh is held without pulling. Toes should not cramp; let them spread.',
  },
};
