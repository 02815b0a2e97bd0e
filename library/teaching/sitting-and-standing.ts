import type { Teaching } from './teaching';

/** What goes wrong and what is seen from outside, of positions that sit or stand. */
export const SITTING_AND_STANDING: Readonly<Record<string, Teaching>> = {
  'easy-seat': {
    mistakes: 'Sitting so low that the knees stand higher than the hips. Say: sit higher before you sit straighter.',
    watch:
      'Look at the low back from the side: if it rounds, more goes under the seat. A chin that rises shows a tired neck.',
  },
  'chair-seat': {
    mistakes: 'Leaning back and sliding forward on the seat. Say: sit on the front half, both feet under the knees.',
    watch: 'Heels that lift mean the chair is too high. Shoulders that creep up mean the hands lie too far forward.',
  },
  'straight-seat': {
    mistakes:
      'Rolling back behind the sitting bones because the hamstrings pull. Say: sit on an edge, and bend the knees a little.',
    watch: 'Look for a low back that rounds and knees that are pressed down hard. Both ask for a higher seat.',
  },
  'kneeling-seat': {
    mistakes:
      'Sitting on the heels with knees or ankles that complain. Say: put something between seat and heels, and more if that is not enough.',
    watch:
      'Look at the toes: when they curl, the ankles want padding. Weight that shifts from side to side is a knee asking to come out.',
  },
  'cow-face-arms': {
    mistakes:
      'Pulling the hands together and arching the low back. Say: the strap is the length of your arms; let the ribs sink.',
    watch:
      'The head should not be pushed forward by the upper arm. Ribs that flare at the front mean the strap is held too short.',
  },
  'seated-side-bend': {
    mistakes: 'Folding forward instead of leaning sideways. Say: both sitting bones stay, and the chest looks ahead.',
    watch: 'See whether the far hip lifts. A face turned to the floor shows that the shoulder has rolled in.',
  },
  'seated-twist': {
    mistakes: 'Pulling the trunk round with the arm. Say: turn first, then let the hands rest where they arrive.',
    watch:
      'Look at the sitting bones and the lower ribs; the turn begins there. If only the head has turned, start again with less.',
  },
  'chair-twist': {
    mistakes: 'Letting one knee slide ahead of the other. Say: knees level, and turn from the waist upwards.',
    watch: 'Watch the knees from above. A held breath shows that the turn has gone too far.',
  },
  'chair-fold': {
    mistakes: 'Hanging with the head low and the breath short. Say: rest the arms on the thighs and stop half-way.',
    watch: 'Look at the colour of the face, and see that everyone comes up slowly. Feet should stay flat and wide.',
  },
  'head-to-knee': {
    mistakes:
      'Reaching for the foot and rounding the upper back. Say: bring the support to the head, not the head to the leg.',
    watch: 'The straight knee points to the ceiling. If the bent knee hangs in the air, put something under it.',
  },
  'seated-fold': {
    mistakes: 'Pulling with the arms. Say: tip the pelvis first, and let the rest follow in its own time.',
    watch:
      'Look at the back of the pelvis: if it leans backwards, the seat is too low. Knees may bend; jaws should not clench.',
  },
  'wide-leg-fold': {
    mistakes: 'Opening the legs as far as they go. Say: a hand’s width less, and stay longer.',
    watch: 'Kneecaps and toes look at the ceiling. Feet that roll inwards show inner thighs that are pulled too hard.',
  },
  'butterfly-upright': {
    mistakes: 'Bouncing or pressing the knees down. Say: let them be as high as they are.',
    watch:
      'Look for a back that sinks behind the sitting bones. Knees higher than the waist need a higher seat, not more effort.',
  },
  'butterfly-fold': {
    mistakes:
      'Drawing the feet close and folding from the neck. Say: feet a forearm away, and let the whole back round.',
    watch:
      'See whether the head hangs free; a stack under it lets the neck go. The soles should rest on each other without gripping.',
  },
  'long-diamond': {
    mistakes: 'Drawing the feet in, which makes it another position. Say: let the legs make a long diamond.',
    watch: 'Look at the neck: it should hang or rest, not reach. Shoulders that lift towards the ears need a pause.',
  },
  'wide-leg-side': {
    mistakes: 'Letting the chest fall to the floor. Say: roll the upper ribs back, even if you lean less.',
    watch: 'The far sitting bone stays down. An upper arm that pulls the shoulder to the ear may rest on the waist.',
  },
  'stacked-shins': {
    mistakes: 'Forcing the upper knee down to the ankle. Say: leave the gap, or fill it with a blanket.',
    watch: 'Ankles stay bent and strong. A hand that goes to the knee is asking you to take this one out.',
  },
  'crossed-thighs': {
    mistakes: 'Sitting on one hip only. Say: level the sitting bones first, then fold.',
    watch:
      'Look from behind whether the pelvis is level. If the feet go numb, stretch the legs and begin again higher.',
  },
  deer: {
    mistakes: 'Falling over to the front hip. Say: both angles stay open, and the back hip grows heavy.',
    watch: 'See whether the back knee twists under load. Lift the front hip until both sitting bones share the weight.',
  },
  squat: {
    mistakes: 'Standing on the toes and holding on. Say: put something under the heels, and let the seat hang.',
    watch: 'Knees and toes point the same way. Arches that collapse mean the feet are too wide.',
  },
  'hanging-fold': {
    mistakes: 'Locking the knees and pulling on the calves. Say: soft knees, and let the arms hang like sleeves.',
    watch:
      'The weight is over the middle of the feet. Look at the face before they come up, and again when they stand.',
  },
  'wall-half-fold': {
    mistakes: 'Sinking between the shoulders. Say: press the wall away and lengthen the sides.',
    watch: 'From the side, hips stand over heels and ears lie between the arms. A hollow low back asks for bent knees.',
  },
  'chair-half-fold': {
    mistakes: 'Standing too close, so that the back rounds. Say: walk back until the hips are over the heels.',
    watch: 'The chair must not slide. Look for knees that lock and a neck that holds the head up.',
  },
  'cross-legged-on-chair': {
    mistakes:
      'Sitting too far from the chair and hanging from the arms. Say: come so close that the shins reach under it.',
    watch: 'The shoulders should drop when the forehead lands. If the back stays tense, the arms need to lie higher.',
  },
  'seated-fold-on-chair': {
    mistakes: 'Pushing the chair away to come lower. Say: the chair stays, and the hips tip.',
    watch: 'Feet under the chair stay free of its legs. A chin on the arms instead of the forehead makes a tired neck.',
  },
  'wide-leg-fold-on-chair': {
    mistakes: 'Widening the legs until they roll in. Say: kneecaps to the ceiling first.',
    watch:
      'Look at the inner knees, which should not lift hard off the floor. Hands that grip the seat want a higher rest.',
  },
  'cross-legged-fold': {
    mistakes: 'Lifting off the sitting bones to get the head down. Say: bring the stack up instead.',
    watch: 'Both knees rest at about the same height. If one foot goes pale or numb, change the crossing.',
  },
  'wide-standing-fold': {
    mistakes: 'Putting weight on the head. Say: the head touches its support, the feet do the standing.',
    watch: 'Hips stay over the ankles. See that they bend the knees and wait before they stand up straight.',
  },
  'eagle-arms': {
    mistakes: 'Forcing the palms to meet. Say: hold the shoulders and keep the breath.',
    watch:
      'Shoulders sink while the elbows lift a little. A head that pokes forward shows that the arms are too tight.',
  },
  'straight-leg-twist': {
    mistakes: 'Leaning back to get further round. Say: grow tall first, and turn less.',
    watch: 'The straight leg keeps its kneecap up. If the hand behind carries weight, put a block under it.',
  },
  'boat-supported': {
    mistakes: 'Holding the breath and rounding the back. Say: keep one foot down if that lets you breathe.',
    watch: 'A belly that bulges and a trembling back mean it is over. Hold it shorter and repeat it.',
  },
  'windscreen-wipers': {
    mistakes: 'Rushing from side to side. Say: one breath for each side.',
    watch: 'Feet are wide enough that the knees pass. Wrists that tire may turn the fingers outwards.',
  },
  'seated-circles': {
    mistakes: 'Circling the head instead of the trunk. Say: draw the circle with the lowest ribs.',
    watch: 'The knees stay where they are. Watch for dizziness and let them stop with open eyes.',
  },
  'standing-reach': {
    mistakes: 'Lifting the ribs along with the arms. Say: ribs down, fingers up.',
    watch: 'Look at the low back from the side. Elbows may bend and shoulders need not touch the ears.',
  },
  mountain: {
    mistakes: 'Standing to attention. Say: soften the knees, and then soften them again.',
    watch: 'Weight shows in the toes: they should lie long, not claw. Someone who goes pale should walk or sit.',
  },
  'accomplished-seat': {
    mistakes: 'Pressing the heel in to sit higher. Say: the support lifts you, the heel only marks the middle.',
    watch: 'Both knees rest at one height. Toes that lose their colour mean the legs are crossed too tightly.',
  },
  'auspicious-seat': {
    mistakes: 'Wedging the toes between thigh and calf with force. Say: if they do not slip in, let them lie in front.',
    watch: 'A pelvis that leans to one side shows in the shoulders. Change the crossing half-way through a long sit.',
  },
  'half-lotus': {
    mistakes: 'Lifting the foot with a knee that does not turn. Say: turn the thigh in the hip, or leave it out.',
    watch: 'The raised knee should sink, not hover. A hand on the knee is a reason to take the foot down at once.',
  },
  'hero-seat': {
    mistakes: 'Letting the feet turn out to the sides. Say: toes straight back, heels close to the hips.',
    watch: 'Look at the inner knees and the ankles from behind. If the thighs tremble, sit on more.',
  },
  'seat-at-wall': {
    mistakes: 'Leaning the whole back, so that the pelvis slides forward. Say: pelvis close to the wall, head free.',
    watch: 'The low back should have a little room at the wall. A chin that sinks shows that sleep is near.',
  },
  'chair-seat-feet-raised': {
    mistakes: 'Raising the feet so far that the knees stand up. Say: thighs level, like a shelf.',
    watch: 'Look at the thighs from the side. Heels that hang over the edge of the support need it turned round.',
  },
};
