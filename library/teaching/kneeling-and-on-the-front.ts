import type { Teaching } from './teaching';

/** What goes wrong and what is seen from outside, of positions that kneel or lie on the front. */
export const KNEELING_AND_ON_THE_FRONT: Readonly<Record<string, Teaching>> = {
  'toes-tucked': {
    mistakes: 'Sitting back at once with the full weight. Say: lean on the hands first, and sit back bit by bit.',
    watch: 'The little toes are tucked too. A hard face shows that it is time to come forward.',
  },
  'ankle-stretch': {
    mistakes: 'Leaning so far that the knees fly up. Say: lift them a finger’s width, or not at all.',
    watch: 'Toes point straight back, and heels do not fall apart. Look for wrists that carry too much.',
  },
  'toes-tucked-leaning': {
    mistakes:
      'Keeping the weight on the hands and calling it done. Say: walk the hands back until you feel it in the soles.',
    watch: 'Heels stand over the toes and do not roll out. See whether the wrists are comfortable.',
  },
  'one-ankle-lifted': {
    mistakes: 'Pulling the knee up with the arm. Say: a hand’s width is plenty.',
    watch: 'The foot stays straight behind the shin. If the weight drops onto the other heel, sit higher.',
  },
  'child-on-bolster': {
    mistakes: 'Placing the bolster too far away. Say: draw it in between the thighs before you lie down.',
    watch: 'Hips and head should lie at about the same height. Arms that hold on to the floor have not arrived yet.',
  },
  'child-narrow': {
    mistakes: 'Hanging the head when the forehead does not reach the floor. Say: stack the fists or a block under it.',
    watch: 'If the seat is far from the heels, put a blanket between them. Breath should move the back ribs.',
  },
  'child-wide': {
    mistakes: 'Stretching the arms until the shoulders pinch. Say: let the elbows bend and the armpits sink.',
    watch: 'Big toes stay close together. A belly that is squeezed wants wider knees.',
  },
  'heart-melting': {
    mistakes: 'Letting the hips sink back to the heels. Say: hips over knees, and let the heart do the sinking.',
    watch:
      'Thighs stand upright when seen from the side. A forehead that carries weight, or tingling hands, mean walk the hands in.',
  },
  'thread-the-needle': {
    mistakes: 'Rolling onto the head. Say: lie on the shoulder, and the head only rests.',
    watch: 'Hips stay over the knees. The upper hand holds the balance and should not push hard.',
  },
  frog: {
    mistakes: 'Going as wide as possible in the first minute. Say: leave room for the third minute.',
    watch: 'Shins are parallel and feet as wide as the knees. A low back that hangs needs more under the chest.',
  },
  'half-frog': {
    mistakes: 'Rolling onto the straight side. Say: let the hips spread on both sides, and pad the knee.',
    watch: 'The bent ankle lies in line with its knee. A turned neck that is stiff may rest on the hands instead.',
  },
  'lunge-hands-inside': {
    mistakes: 'Letting the front heel lift and the knee fall in. Say: step the foot wider.',
    watch:
      'Look at the back knee, which should be padded and not rolled onto its cap. The front knee stands over the ankle.',
  },
  'lunge-outside': {
    mistakes: 'Pushing the knee out with the hand. Say: let it fall as far as it falls.',
    watch: 'The foot rolls to its outer edge without twisting the ankle. Hips should not drop to that side.',
  },
  'lunge-forearms': {
    mistakes: 'Dropping onto the forearms with a round back. Say: use blocks and stay long.',
    watch: 'The breath tells you when it is too deep. Shoulders should not close in on the ears.',
  },
  'swan-upright': {
    mistakes:
      'Sitting on the front hip with the back hip in the air. Say: fill the gap with a blanket, then grow tall.',
    watch:
      'From behind, the back leg points straight and its toes are long. The front foot stays bent to guard the knee.',
  },
  'sleeping-swan': {
    mistakes: 'Letting the front shin slide towards parallel. Say: the angle is right when the knee feels nothing.',
    watch: 'Look for a pelvis that tips to the folded side. A hand that reaches for the knee is a signal.',
  },
  'swan-twisted': {
    mistakes: 'Using the arm as a lever. Say: turn with the breath out, then let the hand rest.',
    watch: 'The front hip stays supported. If the back knee lifts, there is too much turn.',
  },
  camel: {
    mistakes: 'Dropping the head back and the hips with it. Say: thighs upright, chest first, head last.',
    watch:
      'From the side, hips stand over the knees. If the breath stops or the face changes, bring the hands to the low back.',
  },
  'dragon-splits': {
    mistakes: 'Sliding until it hurts and then staying. Say: rest on the bolster before the legs have to hold.',
    watch:
      'Hips face forward, seen from in front. Pain at the sitting bone shows as a held breath or a lifted shoulder.',
  },
  'reclined-kneeling': {
    mistakes: 'Lying back with knees that spread and a low back that arches. Say: sit on more, and lie on more.',
    watch:
      'Look for a space under the low back and for knees that lift. Anyone who holds on with the hands needs a higher bolster.',
  },
  'reclined-half-kneeling': {
    mistakes: 'Letting the folded knee wander out. Say: knee ahead of the hip, foot close beside it.',
    watch: 'The pelvis should be level from above. The standing foot carries part of the weight.',
  },
  'reclined-kneeling-raised': {
    mistakes: 'Choosing the lowest slope that is possible. Say: choose the highest one in which the breath is easy.',
    watch: 'Knees stay on the floor and the chin stays low. If the thighs shake, raise both the seat and the slope.',
  },
  'wrist-stretch': {
    mistakes: 'Leaning back until the palms lift. Say: palms down first, then a little weight.',
    watch: 'Fingers spread and point to the knees. A jaw that sets shows too much.',
  },
  cat: {
    mistakes: 'Moving only the middle of the back. Say: begin at the tail and let the head come last.',
    watch: 'Elbows stay soft and hands stay under the shoulders. See whether the breath leads or follows.',
  },
  cow: {
    mistakes: 'Throwing the head back. Say: lift the breastbone, and the chin follows as far as it likes.',
    watch: 'The low back should not take all of the arch. Shoulders slide away from the ears.',
  },
  sphinx: {
    mistakes: 'Hanging between the shoulders. Say: press the forearms down, or lie lower.',
    watch: 'Elbows are under or ahead of the shoulders. A crease in the low back asks for the elbows to move forward.',
  },
  seal: {
    mistakes: 'Straightening the arms at any price. Say: walk the hands forward until the low back is quiet.',
    watch: 'Shoulders stay below the ears. Buttocks that grip show a low back on guard.',
  },
  'prone-thigh-strap': {
    mistakes: 'Pulling the heel in while the hip lifts. Say: hip bones down first.',
    watch: 'The pelvis lies level from behind. The knee points straight down the mat, not out.',
  },
  'crossed-arms-prone': {
    mistakes: 'Lying with the whole weight on the crossed arms. Say: put something under the chest.',
    watch: 'Hands keep their colour. If the neck has to hold the head up, give it a block.',
  },
  'shoulder-opener-prone': {
    mistakes: 'Rolling over quickly because it is possible. Say: roll until the first stretch, and wait there.',
    watch: 'The stretched hand stays flat and keeps its colour. The head must rest, not hang.',
  },
  'prone-rest': {
    mistakes: 'Turning the head to the same side every time. Say: change cheeks half-way.',
    watch: 'Shoulders should drop towards the floor. A low back that is hollow wants a blanket under the belly.',
  },
  'prone-on-bolster': {
    mistakes: 'Lying so high that the bolster presses the throat. Say: chin over the end, or cheek on it.',
    watch: 'Weight spreads from the hips to the breastbone. Feet that hold on to the floor have no roll under them.',
  },
  'prone-on-two-bolsters': {
    mistakes: 'Letting the nose be squeezed into the mat. Say: the forehead rests, and the nose is free.',
    watch: 'Breath moves the low back visibly. If the knees are straight and hard, move the second bolster up.',
  },
  'bolster-twist': {
    mistakes: 'Lying down before turning. Say: turn the navel to the bolster, then lie along it.',
    watch: 'The hip stays close to the bolster’s end. A stiff neck may look the way the knees look.',
  },
  'downward-dog-held': {
    mistakes: 'Pressing the head into its support. Say: the block comes up to the head.',
    watch: 'Look at a back that rounds: bend the knees. Hands that slip need a folded mat or a wall.',
  },
  locust: {
    mistakes: 'Lifting the chin to get higher. Say: long neck, long legs, then up.',
    watch: 'Both legs lift alike and the knees stay straight. A short, held breath ends it.',
  },
  bow: {
    mistakes: 'Pulling with the arms and spreading the knees. Say: press the feet into the hands.',
    watch: 'Knees stay about as wide as the hips. Watch the throat and let the eyes look ahead.',
  },
};
