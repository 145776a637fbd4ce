import {
  at,
  bee,
  bench,
  boat,
  boot,
  box,
  bread,
  bun,
  bus,
  cat,
  circle,
  cloud,
  crab,
  dog,
  ferry,
  fence,
  floor,
  flower,
  flying,
  gate,
  goat,
  ground,
  gull,
  hen,
  house,
  ink,
  line,
  lamp,
  moon,
  oval,
  paper,
  path,
  person,
  piano,
  pup,
  rain,
  sea,
  shelf,
  sky,
  snow,
  stars,
  sun,
  table,
  tint,
  tree,
  turned,
  wall,
  window_,
} from './parts.mjs';

// One scene a text: what it shows, and the drawing, 360 by 240, from what happens in the text.
export const scenes = {
  'the-bag-on-the-bus': [
    'Ben sits on the bus with a big bag on his lap. A hen looks out of the bag, and a dog sniffs at it.',
    sky(paper) +
      window_(20, 26, 90, 70) +
      window_(136, 26, 90, 70) +
      window_(252, 26, 90, 70) +
      floor(206, tint[2]) +
      box(70, 120, 96, 92, tint[4], 8) +
      box(62, 176, 120, 18, tint[5], 6) +
      person(118, 216, 1.15, {
        sits: true,
        hands: [
          [-18, -44],
          [22, -44],
        ],
        coat: tint[2],
      }) +
      at(
        150,
        168,
        1,
        path('M-26 0C-32 -30 -20 -42 0 -42C20 -42 32 -30 26 0Z', paper) + line('M-10 -42Q0 -58 10 -42', 3),
      ) +
      at(
        150,
        148,
        0.46,
        circle(22, -84, 12, paper) +
          path('M14 -92C10 -102 20 -104 21 -98C22 -106 32 -104 29 -96C34 -100 38 -94 32 -90Z', tint[5]) +
          circle(26, -84, 2, ink) +
          path('M34 -86L48 -80L33 -76Z', tint[4]) +
          path('M12 -76L8 -56H36L32 -76Z', paper),
      ) +
      dog(268, 208, 1.15, { flip: true }) +
      line('M206 150l-8 -4M204 158h-9M206 166l-8 4'),
  ],
  'sam-and-the-net': [
    'Sam and his mum pull a net into their boat. There is an old boot in the net.',
    sky() +
      sun(312, 44) +
      cloud(70, 48, 1.1) +
      sea(150) +
      person(96, 174, 0.95, {
        hair: 'cap',
        hands: [
          [26, -58],
          [30, -50],
        ],
        coat: tint[4],
      }) +
      person(158, 174, 1.12, {
        hair: 'bun',
        hands: [
          [20, -60],
          [26, -52],
        ],
        coat: tint[2],
      }) +
      boat(132, 196, 1.2) +
      line('M182 116Q230 130 262 168', 2.4) +
      path('M236 150C228 196 244 222 272 222C300 222 312 194 300 150Q270 138 236 150Z', tint[0], 'fill-opacity="0.9"') +
      line(
        'M240 164Q270 176 304 164M238 182Q270 196 306 182M244 202Q270 212 300 202M252 148Q246 190 258 220M270 144Q268 190 272 222M288 147Q294 190 286 219',
        1.4,
      ) +
      boot(264, 206, 0.8, { fill: tint[4] }),
  ],
  'a-bun-for-gus': [
    'Gus the gull sits on the wall and looks at the bun in Dan’s hand. Crumbs lie on the ground.',
    sky() +
      sun(46, 44) +
      cloud(250, 40) +
      sea(124) +
      ground(196, tint[1]) +
      wall(190, 146, 176, 58) +
      gull(262, 146, 1.25, true) +
      person(104, 222, 1.35, {
        hands: [
          [-18, -44],
          [36, -68],
        ],
        coat: tint[4],
      }) +
      bun(154, 134, 1.1) +
      [
        [160, 222],
        [176, 228],
        [192, 220],
      ]
        .map(([x, y]) => circle(x, y, 2.4, paper))
        .join(''),
  ],
  'the-wet-hen': [
    'A hen stands in the rain. A pup looks out of his dry den.',
    sky() +
      rain() +
      fence(170, -5, 190) +
      ground(170, tint[2]) +
      oval(96, 208, 66, 14, tint[1]) +
      hen(92, 204, 1.2) +
      path('M220 200V112L282 66L344 112V200Z', paper) +
      path('M206 118L282 56L358 118L346 128L282 76L218 128Z', tint[4]) +
      path('M246 200V150C246 116 318 116 318 150V200Z', tint[5]) +
      pup(282, 200, 1.05),
  ],
  'is-it-just-mud': [
    'A bird stands on the mud and looks for a meal. Under it are a worm, a crab and a clam.',
    sky() +
      cloud(84, 44) +
      sun(300, 42) +
      ground(112, tint[1]) +
      path('M-5 140Q90 130 180 138T365 134V245H-5Z', tint[3]) +
      gull(110, 116, 1.1) +
      line('M206 128q6 -10 12 0q6 8 12 0q5 -8 10 -2', 5) +
      line('M70 190q14 -18 28 0t28 0t28 0', 9) +
      `<path d="M70 190q14 -18 28 0t28 0t28 0" fill="none" stroke="${paper}" stroke-width="5"/>` +
      crab(226, 222, 0.62) +
      path('M288 208C286 186 334 184 334 206Q312 216 288 208Z', paper) +
      line('M300 204q6 -12 4 -16M312 206v-19M324 204q-6 -12 -4 -16', 1.5),
  ],
  'a-letter-from-bess': [
    'Bess feeds a lamb from a cup. Her gran stands at the door of the house.',
    sky() +
      sun(50, 40) +
      cloud(180, 40) +
      house(282, 168, 1.5) +
      ground(168, tint[2]) +
      person(252, 190, 1, {
        hair: 'white',
        coat: tint[4],
        hands: [
          [-22, -58],
          [20, -46],
        ],
      }) +
      person(96, 224, 1.25, {
        hair: 'plaits',
        coat: tint[1],
        hands: [
          [-18, -44],
          [34, -40],
        ],
      }) +
      at(142, 176, 1, path('M-9 -6h16l-3 16h-10Z', paper)) +
      at(
        196,
        222,
        1,
        line('M-22 -18V0M-12 -18V0M12 -18V0M22 -18V0', 4) +
          path(
            'M-30 -22C-38 -40 -22 -50 -10 -46C0 -54 18 -52 24 -42C38 -38 34 -18 20 -18H-20C-28 -16 -34 -18 -30 -22Z',
            paper,
          ) +
          path('M-26 -40C-40 -52 -50 -46 -52 -36C-50 -28 -36 -26 -28 -32Z', tint[1]) +
          circle(-42, -40, 1.8, ink) +
          path('M-30 -46l8 -8l4 10Z', tint[2]),
      ),
  ],
  'crab-on-the-steps': [
    'A crab sits on wet stone steps by the sea. A gull on the wall looks at it.',
    sky() +
      sun(320, 40) +
      cloud(90, 40) +
      sea(178, tint[2]) +
      path('M-5 245V120H96V152H176V184H256V216H330V245Z', paper) +
      line(
        'M-5 152H96M-5 184H176M-5 216H256M40 120V152M60 152V184M130 152V184M96 184V216M210 184V216M160 216V245',
        1.4,
      ) +
      crab(150, 152, 0.85) +
      wall(-5, 96, 66, 26, tint[1]) +
      gull(34, 96, 0.9) +
      line('M270 206q8 -5 16 0t16 0', 1.6),
  ],
  'can-a-crab-run': [
    'A crab runs to the side over the sand, to a rock.',
    sky() +
      sun(60, 42) +
      sea(112, tint[2]) +
      ground(146, tint[1]) +
      crab(150, 206, 1.2) +
      line('M60 168H92M50 182H86M62 196H90', 2.4) +
      path('M246 214C240 168 274 146 306 150C340 150 356 186 350 214Z', tint[3]) +
      line('M276 160q8 14 2 28M314 156q-4 18 6 30', 1.6) +
      path('M252 214q8 -22 22 0Z', ink),
  ],
  'the-lost-cap': [
    'Jo looks at the empty peg. Ray has the red cap with a bird on his back, on a string.',
    sky(tint[0]) +
      floor(196) +
      line('M120 62H250', 4) +
      [140, 185, 230].map((x) => line(`M${x} 62v10q0 8 8 8`, 4)).join('') +
      at(230, 84, 1, path('M-12 0H22V46H-12Z', tint[3]) + line('M-4 0Q4 -12 14 0')) +
      person(96, 222, 1.3, {
        hair: 'plaits',
        hands: [
          [-30, -62],
          [30, -84],
        ],
        mouth: 'open',
        coat: tint[4],
      }) +
      person(250, 222, 1.3, {
        hair: 'short',
        hands: [
          [-20, -44],
          [20, -44],
        ],
        coat: tint[1],
      }) +
      line('M232 132Q250 140 268 132', 2) +
      at(
        272,
        150,
        1,
        path('M-14 0C-14 -20 18 -20 18 0Z', tint[5]) +
          path('M14 0H32Q28 -8 16 -8Z', tint[5]) +
          `<path d="M-4 -8q5 -6 8 0q4 -6 8 0" fill="none" stroke="${paper}" stroke-width="2"/>`,
      ) +
      oval(170, 214, 14, 5, tint[4]),
  ],
  'wind-week': [
    'A kite with a long tail dances in the top of a tall tree. A child looks up at it.',
    sky() +
      cloud(62, 46) +
      cloud(314, 70, 0.8) +
      line('M20 110q30 -10 50 0M10 130q26 -8 44 0M300 120q24 -8 40 0', 2, `stroke="${tint[4]}"`) +
      ground(196, tint[2]) +
      tree(212, 204, 1.5) +
      turned(
        222,
        52,
        24,
        path('M0 -34L26 0L0 34L-26 0Z', paper) + line('M0 -34V34M-26 0H26', 1.6) + path('M0 -34L26 0H0Z', tint[4]),
      ) +
      line('M208 84q-16 16 -30 6t-30 10', 2) +
      path('M176 88l8 -6l0 12ZM150 98l8 -8l2 12Z', tint[5]) +
      person(96, 222, 1.15, {
        hands: [
          [-18, -44],
          [30, -86],
        ],
        mouth: 'open',
        coat: tint[3],
      }),
  ],
  'the-moth-and-the-lamp': [
    'A moth flies round a bright lamp by a gate at night. A bat hangs in the dark beside it.',
    sky(tint[5]) +
      stars() +
      moon(58, 52, 22) +
      path('M-5 204Q90 196 180 204T365 200V245H-5Z', tint[4]) +
      circle(206, 84, 52, tint[3], 'stroke="none"') +
      circle(206, 84, 34, tint[1], 'stroke="none"') +
      lamp(206, 206) +
      gate(286, 206) +
      turned(
        152,
        108,
        -24,
        path('M0 0C-8 -26 -30 -26 -30 -8C-28 4 -12 8 0 4ZM0 0C8 -26 30 -26 30 -8C28 4 12 8 0 4Z', paper) +
          oval(0, 4, 4, 12, tint[2]) +
          line('M-2 -8q-4 -8 -8 -8M2 -8q4 -8 8 -8', 1.6),
      ) +
      line('M176 60q24 -34 60 -16q30 20 14 52', 1.6, 'stroke-dasharray="3 6"') +
      at(
        92,
        150,
        1,
        path(
          'M0 0C-12 -18 -34 -16 -46 -2Q-36 -4 -30 4Q-20 0 -12 8Q-6 4 0 12Q6 4 12 8Q20 0 30 4Q36 -4 46 -2C34 -16 12 -18 0 0Z',
          ink,
        ) + path('M-6 -8l-2 -8l6 4M6 -8l2 -8l-6 4', ink),
      ),
  ],
  'three-legs-good': [
    'Moss, a dog with three legs, hops ahead of the others at the dog show. Mina cheers.',
    sky() +
      cloud(90, 44) +
      line('M20 60L90 30M90 30L160 62M160 62L230 32M230 32L300 62', 1.6) +
      [
        [40, 52],
        [72, 38],
        [112, 40],
        [142, 54],
        [182, 52],
        [212, 40],
        [252, 42],
        [282, 54],
      ]
        .map(([x, y]) => path(`M${x - 6} ${y}h12l-6 12Z`, tint[4]))
        .join('') +
      fence(160, -5, 365) +
      ground(164, tint[2]) +
      dog(232, 214, 1.25, { legs: 3 }) +
      dog(70, 204, 0.85, { fill: tint[4] }) +
      line('M180 176H156M176 190H150', 2.4) +
      person(326, 226, 1.1, {
        hair: 'curls',
        hands: [
          [-26, -104],
          [26, -104],
        ],
        mouth: 'open',
        coat: tint[4],
      }),
  ],
  'how-to-plant-a-bean': [
    'A bean grows in a jam jar on a sunny sill. A root goes down and a green tip comes up.',
    sky(paper) +
      window_(96, 14, 168, 170, tint[0]) +
      sun(222, 60, 16) +
      path('M60 186H300V204H60Z', paper) +
      floor(226, tint[1]) +
      at(
        180,
        186,
        1.25,
        path(
          'M-36 -84H36V-76Q42 -70 42 -62V-6Q42 0 36 0H-36Q-42 0 -42 -6V-62Q-42 -70 -36 -76Z',
          tint[1],
          'fill-opacity="0.85"',
        ) +
          path('M-36 -52Q-20 -44 -4 -52T30 -50V-8H-34Z', paper) +
          oval(2, -46, 11, 7, tint[4], 'transform="rotate(-20 2 -46)"') +
          line('M6 -42q6 10 2 20M4 -34q-8 6 -6 12M8 -28q8 4 8 10', 2) +
          line('M0 -52Q-6 -76 2 -104', 3) +
          path(
            'M2 -104C14 -112 24 -104 26 -94C14 -92 6 -96 2 -104ZM-2 -84C-14 -92 -24 -84 -24 -76C-14 -72 -6 -76 -2 -84Z',
            tint[3],
          ),
      ),
  ],
  'night-at-the-bakery': [
    'A child kneads dough at a long table at night. Loaves stand in the oven, and the moon is in the window.',
    sky(tint[1]) +
      window_(22, 26, 80, 70, tint[5]) +
      moon(60, 58, 16) +
      box(230, 40, 116, 120, tint[3]) +
      path('M248 132V92Q288 62 328 92V132Z', ink) +
      bread(270, 130, 0.7) +
      bread(308, 130, 0.7) +
      floor(206, tint[2]) +
      person(150, 226, 1.25, {
        hair: 'curls',
        hands: [
          [-22, -36],
          [24, -36],
        ],
        coat: paper,
      }) +
      table(52, 176, 200, 46) +
      path('M116 176C108 156 190 154 184 176Z', paper) +
      bread(84, 176, 0.7) +
      circle(216, 168, 7, tint[1]) +
      circle(232, 168, 7, tint[1]),
  ],
  'the-big-mud-plan': [
    'Kit and Asif build a dam of sticks and mud. Their little pond fills up.',
    sky() +
      cloud(280, 44) +
      tree(40, 160, 0.9) +
      ground(160, tint[1]) +
      path('M60 196C70 172 230 170 244 192C250 218 66 222 60 196Z', tint[3]) +
      line('M96 194q10 -5 20 0t20 0M140 204q10 -5 20 0', 1.6) +
      path('M236 174L250 166L262 176L276 168L272 216L240 214Z', tint[4]) +
      line('M234 182L280 172M236 196L280 188M238 208L278 204M246 168L262 214M268 170L252 216', 3) +
      person(310, 226, 1.1, {
        hair: 'plaits',
        hands: [
          [-28, -50],
          [18, -44],
        ],
        coat: tint[2],
      }) +
      person(176, 176, 0.95, {
        hair: 'short',
        hands: [
          [20, -56],
          [34, -50],
        ],
        coat: tint[5],
      }) +
      at(212, 126, 1, circle(0, 0, 8, tint[4])),
  ],
  'the-last-bus': [
    'An old woman with a goat gets on the last bus at night. The driver looks at them.',
    sky(tint[5]) +
      stars() +
      moon(322, 42, 18) +
      path('M-5 196H365V245H-5Z', tint[3]) +
      bus(206, 208, 1.25, { fill: tint[1] }) +
      circle(296, 118, 9, paper) +
      path('M286 118q-2 -14 10 -14q12 0 10 14Z', ink) +
      circle(293, 118, 1.4, ink) +
      circle(299, 118, 1.4, ink) +
      person(36, 226, 1.05, {
        hair: 'white',
        hands: [
          [-18, -44],
          [26, -50],
        ],
        coat: tint[3],
      }) +
      goat(104, 226, 0.95, true) +
      line('M64 172L78 170', 2),
  ],
  'ask-the-baker': [
    'Ola asks the baker a question. He takes bread out of the hot oven with a long flat stick.',
    sky(tint[0]) +
      wall(226, 26, 140, 180, tint[1]) +
      path('M252 150V106Q296 66 340 106V150Z', ink) +
      bread(296, 148, 0.9) +
      floor(200) +
      line('M176 128L286 142', 5) +
      line('M176 128L286 142', 2, `stroke="${paper}"`) +
      person(176, 226, 1.35, {
        hair: 'chef',
        hands: [
          [8, -66],
          [26, -62],
        ],
        coat: paper,
      }) +
      person(70, 226, 1.15, {
        hair: 'long',
        hands: [
          [-16, -44],
          [28, -66],
        ],
        mouth: 'open',
        coat: tint[4],
      }) +
      at(106, 152, 1, box(-8, -10, 16, 20, paper) + line('M-4 -4h8M-4 1h8', 1.3)),
  ],
  'ten-to-six': [
    'A house wakes up. The clock says ten to six, a cat sits on the mat, and Dad runs out of the door.',
    sky(tint[0]) +
      floor(190) +
      circle(76, 64, 34, paper) +
      line('M76 64L50 52M76 64L76 92', 3.5) +
      [0, 90, 180, 270].map((a) => turned(76, 64, a, line('M0 -32V-27'))).join('') +
      box(222, 40, 84, 156, tint[2]) +
      path('M222 40L190 28V208L222 196Z', tint[4]) +
      sun(266, 92, 13) +
      person(262, 214, 1.15, {
        hair: 'short',
        hands: [
          [-26, -60],
          [28, -54],
        ],
        mouth: 'open',
        coat: tint[5],
      }) +
      box(286, 146, 26, 20, paper) +
      cat(96, 206, 1.05) +
      oval(96, 212, 52, 8, tint[2]) +
      cat(96, 206, 1.05),
  ],
  'the-goal-that-did-not-count': [
    'A ball is in the net. Ravi looks at his own hand while the others cheer.',
    sky() +
      cloud(70, 36) +
      ground(166, tint[2]) +
      path('M206 178V58H352V178', 'none', 'stroke-width="5"') +
      line(
        Array.from({ length: 11 }, (_, i) => `M${218 + i * 13} 62V176`).join('') +
          Array.from({ length: 9 }, (_, i) => `M208 ${72 + i * 13}H350`).join(''),
        1,
        `stroke="${tint[4]}"`,
      ) +
      circle(300, 162, 14, paper) +
      path('M300 153l8 6l-3 9h-10l-3 -9Z', ink) +
      person(116, 224, 1.35, {
        hair: 'short',
        hands: [
          [-18, -44],
          [26, -76],
        ],
        mouth: 'sad',
        coat: tint[4],
      }) +
      person(38, 206, 0.95, {
        hair: 'curls',
        hands: [
          [-24, -106],
          [24, -106],
        ],
        mouth: 'open',
        coat: paper,
      }) +
      person(204, 204, 0.9, {
        hair: 'long',
        hands: [
          [-24, -106],
          [24, -104],
        ],
        mouth: 'open',
        coat: paper,
      }),
  ],
  'the-ferry-cat': [
    'A grey cat sits at the rail of the ferry and looks out at the water.',
    sky() +
      cloud(64, 40) +
      flying(150, 40) +
      flying(186, 56, 0.8) +
      path('M240 128L270 96L300 116L330 88L365 120V140H240Z', tint[1]) +
      sea(132, tint[2]) +
      ferry(150, 206, 1.12) +
      cat(238, 160, 0.9, { fill: tint[3] }) +
      line('M214 160H276M222 160V140M268 160V142', 2.4),
  ],
  'a-letter-to-the-council': [
    'An old man rests on a stone at the top of the hill. Three children count on a sheet of paper. There is no bench.',
    sky() +
      sun(316, 40) +
      path('M-5 196Q120 100 240 132T365 176V245H-5Z', tint[2]) +
      house(38, 146, 0.6) +
      house(330, 164, 0.5) +
      path('M120 158q10 -18 34 -14q22 0 24 18Z', tint[3]) +
      person(146, 172, 1, { hair: 'old', sits: true, mouth: 'flat', coat: tint[4] }) +
      line('M176 174L186 116', 3) +
      [
        [236, 'plaits', tint[1]],
        [274, 'short', tint[5]],
        [312, 'curls', paper],
      ]
        .map(([x, hair, coat]) =>
          person(x, 224, 0.95, {
            hair,
            coat,
            hands: [
              [-12, -58],
              [14, -58],
            ],
          }),
        )
        .join('') +
      at(274, 166, 1, box(-16, -9, 32, 22, paper) + line('M-10 -2v8M-5 -2v8M0 -2v8M5 -2v8M-12 6L8 -2', 1.4)),
  ],
  'a-knot-you-can-trust': [
    'Two hands tie a bowline: a rope with a loop that does not slip.',
    sky(tint[0]) +
      line(
        'M180 -5V70Q180 100 206 104C250 110 262 150 236 178C208 206 150 204 128 174C110 148 128 116 160 112Q196 108 196 84Q194 62 172 66Q152 72 166 96Q182 122 206 120',
        13,
      ) +
      `<path d="M180 -5V70Q180 100 206 104C250 110 262 150 236 178C208 206 150 204 128 174C110 148 128 116 160 112Q196 108 196 84Q194 62 172 66Q152 72 166 96Q182 122 206 120" fill="none" stroke="${paper}" stroke-width="9"/>` +
      line(
        'M176 8l8 6M176 24l8 6M176 40l8 6M228 122l9 4M240 146l9 -2M230 172l6 6M200 190l2 8M164 190l-4 8M134 172l-7 5M122 150l-9 0',
        1.6,
      ) +
      path(
        'M-5 176C40 150 72 156 100 152Q118 150 120 160Q118 170 100 172Q124 174 122 184Q118 192 98 190Q70 214 -5 226Z',
        tint[1],
      ) +
      path(
        'M365 96C330 84 300 92 268 92Q248 92 248 102Q250 110 268 110Q246 114 250 124Q254 130 272 128Q300 146 365 142Z',
        tint[1],
      ),
  ],
  'the-radio-under-the-stairs': [
    'Noor kneels before a big old radio under the stairs and turns its dial.',
    sky(tint[1]) +
      path('M365 -5V30H306V66H248V102H190V138H132V174H74V245H365Z', paper) +
      path('M365 66L120 245H365Z', tint[2]) +
      floor(214, tint[3]) +
      at(
        250,
        214,
        1.25,
        box(-50, -84, 100, 84, paper, 8) +
          circle(-18, -46, 22, tint[3]) +
          line('M-34 -54H-2M-39 -46H3M-34 -38H-2', 1.6) +
          circle(26, -54, 13, tint[1]) +
          line('M26 -54L33 -62', 2.4) +
          circle(16, -22, 5, ink) +
          circle(36, -22, 5, ink),
      ) +
      person(140, 228, 1.3, {
        hair: 'long',
        sits: true,
        hands: [
          [14, -56],
          [58, -64],
        ],
        coat: tint[4],
      }) +
      line('M330 104q10 10 0 22M342 96q16 18 0 38', 2),
  ],
  'the-museum-of-lost-things': [
    'In a small museum stand a glove, a key and half a letter, each with a label. Zola and old Mr Tan look at them.',
    sky(tint[0]) +
      floor(196) +
      shelf(150, 116, 196) +
      at(
        182,
        112,
        1,
        path(
          'M-10 0V-22Q-14 -30 -8 -32L-4 -24V-40Q0 -44 3 -40V-26V-42Q7 -46 10 -42V-26L12 -38Q16 -42 18 -36L16 -16V0Z',
          tint[4],
        ),
      ) +
      at(246, 106, 1, circle(-14, -14, 10, 'none', 'stroke-width="4"') + line('M-4 -14H24M14 -14v9M22 -14v9', 4)) +
      at(
        306,
        112,
        1,
        path('M-18 0V-36H16L8 -28L16 -20L6 -12L14 0Z', paper) + line('M-12 -28H2M-12 -20H4M-12 -12H0', 1.5),
      ) +
      [182, 248, 306].map((x) => box(x - 14, 122, 28, 13, paper)).join('') +
      person(60, 226, 1.2, {
        hair: 'curls',
        hands: [
          [-16, -46],
          [32, -66],
        ],
        coat: tint[3],
      }) +
      person(118, 226, 1.35, {
        hair: 'old',
        hands: [
          [-20, -46],
          [24, -50],
        ],
        coat: tint[5],
      }),
  ],
  'who-left-the-boots': [
    'A pair of boots stands by the school door. One has a leaf stuck to it. Nina and Omar look for a clue.',
    sky(tint[0]) +
      wall(-5, -5, 370, 196, paper) +
      box(128, 40, 104, 152, tint[4]) +
      box(140, 52, 80, 56, tint[1]) +
      circle(218, 122, 4, paper) +
      floor(190, tint[2]) +
      boot(160, 214, 0.95, { fill: tint[1] }) +
      boot(200, 216, 0.95, { fill: tint[1] }) +
      path('M204 190q10 -12 20 -4q-6 12 -20 4Z', tint[4]) +
      person(64, 228, 1.25, {
        hair: 'plaits',
        hands: [
          [-16, -46],
          [36, -52],
        ],
        mouth: 'open',
        coat: tint[3],
      }) +
      person(300, 228, 1.25, {
        hair: 'short',
        hands: [
          [-34, -52],
          [16, -46],
        ],
        coat: tint[5],
      }),
  ],
  'the-piano-tuner': [
    'Hana leans into an open piano and turns a peg. Her bag of tools stands on the floor.',
    sky(tint[0]) +
      floor(200) +
      piano(214, 206) +
      person(92, 226, 1.35, {
        hair: 'bun',
        hands: [
          [28, -82],
          [56, -94],
        ],
        coat: tint[3],
      }) +
      line('M152 104l14 -14', 4) +
      at(40, 226, 1, path('M-24 0V-24H24V0Z', tint[4]) + line('M-10 -24Q0 -40 10 -24', 3)) +
      line('M250 40q6 -4 6 -14M256 26q6 4 12 2', 2) +
      circle(247, 42, 5, ink),
  ],
  'why-cats-land-on-their-feet': [
    'A cat falls from a shelf in three steps: on its back, half turned, and with its feet down.',
    sky(tint[0]) +
      floor(206) +
      shelf(24, 62, 92) +
      at(44, 58, 1, box(-10, -26, 14, 26, tint[3]) + box(6, -20, 12, 20, tint[5])) +
      turned(96, 104, 180, at(0, 24, 0.85, fallingCat())) +
      turned(184, 126, 96, at(0, 24, 0.85, fallingCat())) +
      at(282, 204, 0.95, fallingCat()) +
      line('M96 74Q180 60 236 120', 2, 'stroke-dasharray="3 7"'),
  ],
  'the-committee-for-fog': [
    'Four people sit at a long table in a room full of fog. Only their heads can be seen well.',
    sky(tint[1]) +
      window_(136, 14, 88, 66, paper) +
      table(26, 158, 308, 60) +
      [
        [64, 'old', tint[4]],
        [138, 'bun', tint[3]],
        [214, 'hat', tint[2]],
        [292, 'curls', tint[5]],
      ]
        .map(([x, hair, coat]) =>
          person(x, 206, 1.2, {
            hair,
            coat,
            legs: false,
            hands: [
              [-16, -42],
              [16, -42],
            ],
            mouth: 'flat',
          }),
        )
        .join('') +
      path('M26 158h308v8h-308Z', paper) +
      [
        [20, 120, 1.7],
        [120, 138, 2],
        [250, 128, 1.9],
        [350, 142, 1.7],
        [70, 200, 2.2],
        [190, 206, 2.4],
        [310, 204, 2.2],
      ]
        .map(([x, y, s]) =>
          at(
            x,
            y,
            s,
            path(
              'M-34 10C-44 8 -44 -6 -30 -7C-30 -20 -10 -24 -4 -14C4 -24 24 -20 24 -7C38 -8 42 8 30 10Z',
              paper,
              `fill-opacity="0.82" stroke="${tint[3]}" stroke-width="1"`,
            ),
          ),
        )
        .join(''),
  ],
  'kelp-garden-diary': [
    'Mei ties a rope with small kelp plants between two floats, from a boat.',
    sky() +
      sun(214, 44) +
      cloud(300, 40) +
      sea(120, tint[1]) +
      path('M-5 142H365V245H-5Z', tint[2], 'stroke="none"') +
      person(96, 132, 1.05, {
        hair: 'long',
        legs: false,
        hands: [
          [14, -48],
          [44, -34],
        ],
        coat: tint[4],
      }) +
      boat(86, 142, 0.95) +
      circle(168, 134, 13, paper) +
      circle(330, 134, 13, paper) +
      line('M168 147Q250 172 330 147', 4) +
      [190, 214, 238, 262, 286, 310]
        .map((x, i) => path(`M${x} ${156 + [0, 5, 7, 7, 5, 0][i]}q-12 24 2 44t-2 34q14 -18 6 -36t6 -42Z`, tint[4]))
        .join(''),
  ],
  heron: [
    'A heron stands quite still on one leg at the edge of the mud, like an old grey coat on a stick.',
    sky() +
      cloud(290, 44) +
      flying(60, 50) +
      flying(96, 36, 0.8) +
      sea(146, tint[1]) +
      path('M-5 190Q100 176 200 186T365 178V245H-5Z', tint[2]) +
      line('M150 132V204M150 150q14 10 6 22', 3) +
      path('M118 128C116 98 150 82 168 96C186 108 178 136 152 142C138 146 122 142 118 128Z', tint[3]) +
      path('M118 128Q104 140 96 156Q122 152 140 144Z', tint[4]) +
      path('M158 96C150 84 150 62 168 56C186 54 190 70 180 78C172 84 170 90 174 98Z', paper) +
      path('M186 66L228 72L186 74Z', tint[4]) +
      circle(178, 65, 2, ink) +
      line('M168 57q-14 -6 -24 2', 2) +
      [40, 54, 300, 314, 330]
        .map((x, i) => line(`M${x} ${204 + (i % 2) * 6}q-3 -30 ${i % 2 ? 6 : -4} -54`, 2))
        .join(''),
  ],
  'how-bees-tell-the-way': [
    'A bee dances in the shape of an eight on the comb. Other bees watch. Outside are flowers.',
    sky(tint[0]) +
      Array.from({ length: 5 }, (_, r) =>
        Array.from({ length: 8 }, (_, c) => {
          const x = 16 + c * 34 + (r % 2) * 17;
          const y = 22 + r * 30;
          return path(`M${x} ${y - 20}l17 10v20l-17 10l-17 -10v-20Z`, (r + c) % 4 ? tint[1] : tint[2]);
        }).join(''),
      ).join('') +
      line(
        'M146 84C108 62 110 24 146 24C182 24 184 62 146 84C108 106 110 146 146 146C182 146 184 106 146 84',
        2.8,
        'stroke-dasharray="5 6"',
      ) +
      bee(146, 84, 1.1) +
      bee(60, 130, 0.8) +
      bee(236, 128, 0.8, true) +
      bee(62, 46, 0.8) +
      ground(196, tint[2]) +
      flower(310, 214, 1.2) +
      flower(336, 222, 1) +
      flower(286, 226, 1, tint[1]),
  ],
  'a-pump-the-size-of-a-fist': [
    'A fist beside a heart of the same size. Arrows show the blood going in and out.',
    sky(tint[0]) +
      at(
        104,
        190,
        1.5,
        path(
          'M-34 44V6C-44 -6 -44 -26 -34 -34Q-30 -44 -20 -40Q-14 -50 -4 -44Q4 -52 13 -44Q24 -46 28 -36Q40 -28 34 -4Q32 8 24 14V44Z',
          paper,
        ) + line('M-20 -40Q-24 -28 -16 -22M-4 -44Q-8 -30 0 -24M13 -44Q9 -30 16 -24M-30 -4Q0 -14 8 -2Q10 8 -6 10', 2),
      ) +
      at(
        262,
        196,
        1.5,
        path('M0 22C-44 -8 -48 -48 -24 -56C-12 -60 -2 -54 2 -44C6 -54 20 -58 30 -50C46 -36 34 -6 0 22Z', tint[4]) +
          line('M2 -44Q-4 -14 0 20', 2) +
          path('M-6 -56V-82H6V-54M16 -56Q16 -78 34 -78V-66Q28 -64 28 -52', tint[2]),
      ) +
      line('M208 66v26M202 84l6 10l6 -10M322 92V66M316 74l6 -10l6 10', 2.6),
  ],
  'fork-knife-spoon': [
    'A plate with a fork and a knife and a spoon. Above it are the first ones: a shell, a stone and a forked stick.',
    sky(tint[0]) +
      path('M-5 150H365V245H-5Z', tint[1]) +
      oval(180, 200, 74, 26, paper) +
      oval(180, 198, 48, 15, tint[0]) +
      at(78, 198, 1, line('M0 30V-10M-9 -40V-18Q-9 -10 0 -10Q9 -10 9 -18V-40M0 -40V-12', 3.4)) +
      at(278, 198, 1, path('M-4 30V-4H-6V-42Q10 -36 8 -4H4V30Z', paper)) +
      at(316, 198, 1, line('M0 30V-12', 5) + oval(0, -26, 10, 15, paper)) +
      at(70, 88, 1, line('M0 40V4L-16 -30M0 4L18 -26', 7)) +
      at(
        184,
        84,
        1,
        path('M-14 34L-22 -12L0 -40L20 -14L14 34Z', tint[3]) + line('M-10 -14L0 -30L8 -12M-6 10L4 -4', 1.6),
      ) +
      at(
        300,
        88,
        1,
        path('M0 34C-26 28 -34 2 -24 -14C-12 -32 14 -32 26 -14C34 2 26 28 0 34Z', paper) +
          line('M0 34L-18 -18M0 34L-6 -26M0 34L8 -26M0 34L20 -18', 1.6),
      ),
  ],
  'how-to-read-a-cloud': [
    'Someone stands on a hill and looks at three kinds of cloud: thin and high, round and white, dark with rain.',
    sky() +
      line('M20 34q30 -14 70 -4M40 50q34 -12 64 -2M10 62q20 -8 44 -4', 2.4, `stroke="${tint[4]}"`) +
      cloud(180, 74, 1.3) +
      cloud(300, 70, 1.5, tint[4]) +
      line('M270 92l-6 18M288 94l-6 18M306 94l-6 18M324 92l-6 18', 2.4, `stroke="${tint[5]}"`) +
      path('M-5 200Q110 130 220 176T365 196V245H-5Z', tint[2]) +
      person(110, 176, 1.1, {
        hair: 'hat',
        hands: [
          [-18, -44],
          [22, -98],
        ],
        coat: tint[4],
      }),
  ],
  'a-day-on-the-moon': [
    'Someone in a space suit stands on the moon and looks at the Earth over the edge. The sun is low.',
    sky(tint[5]) +
      stars(22) +
      circle(290, 62, 34, tint[2]) +
      path('M268 44q14 -12 26 -4q-2 14 -14 16q-12 0 -12 -12ZM294 72q14 -6 22 4q-8 14 -18 10Z', tint[4]) +
      path('M-5 176Q90 150 180 166T365 156V245H-5Z', tint[1]) +
      oval(70, 206, 30, 8, tint[2]) +
      oval(250, 192, 22, 6, tint[2]) +
      oval(312, 222, 34, 8, tint[2]) +
      at(
        158,
        214,
        1.2,
        path('M-20 -44C-24 -76 24 -76 20 -44L16 -34V0H3V-26H-3V0H-16V-34Z', paper) +
          path('M-20 -58L-34 -34L-26 -30L-16 -46M20 -58L34 -34L26 -30L16 -46', paper) +
          circle(0, -80, 19, paper) +
          path('M-12 -84Q0 -94 12 -84Q12 -70 0 -70Q-12 -70 -12 -84Z', tint[4]),
      ) +
      line('M158 214L60 232', 5, `stroke="${tint[3]}"`),
  ],
  'the-girl-who-counted-steps': [
    'A girl climbs the steps inside the lighthouse and counts them.',
    sky(tint[0]) +
      path('M70 245L104 -5H256L290 245Z', paper) +
      line('M100 28H258', 1.4) +
      window_(160, 22, 40, 44, tint[2]) +
      path('M84 220H140V196H180V172H216V148H248V124H276V245H82Z', tint[2]) +
      line('M140 220V196M180 196V172M216 172V148M248 148V124M84 220H140M140 196H180M180 172H216M216 148H248', 3) +
      person(196, 172, 0.95, {
        hair: 'plaits',
        hands: [
          [-18, -46],
          [22, -64],
        ],
        mouth: 'open',
        coat: tint[4],
      }) +
      line('M96 176L262 84', 3) +
      [
        [110, 220],
        [152, 196],
        [190, 172],
      ]
        .map(([x, y]) => line(`M${x} ${y - 2}v-${y - (176 - (x - 96) * 0.554)}`, 1.6))
        .join(''),
  ],
  'seeds-that-travel': [
    'Seeds fly from a dandelion and a maple tree in the wind. A squirrel holds a nut.',
    sky() +
      ground(190, tint[2]) +
      line('M84 206V116', 3) +
      Array.from({ length: 12 }, (_, i) =>
        turned(84, 112, i * 30, line('M0 -8V-28M0 -28l-5 -6M0 -28l5 -6M0 -28v-8', 1.5)),
      ).join('') +
      circle(84, 112, 8, tint[4]) +
      [
        [150, 70],
        [196, 46],
        [236, 88],
      ]
        .map(([x, y]) =>
          turned(x, y, 24, line('M0 12V-10M0 -10l-8 -8M0 -10l8 -8M0 -10v-10', 1.6) + oval(0, 14, 2, 5, ink)),
        )
        .join('') +
      tree(320, 196, 1.1) +
      [
        [262, 118],
        [276, 150],
      ]
        .map(([x, y]) =>
          at(
            x,
            y,
            1,
            path('M0 0C-8 -10 -26 -12 -28 -2C-24 4 -10 6 0 0ZM0 0C8 -10 26 -12 28 -2C24 4 10 6 0 0Z', tint[1]) +
              circle(0, 2, 4, tint[4]),
          ),
        )
        .join('') +
      at(
        196,
        216,
        1.1,
        path('M16 0C44 -6 46 -50 26 -56C14 -58 10 -46 20 -42C28 -36 22 -20 10 -16Z', tint[3]) +
          path('M-14 0C-20 -26 -10 -40 2 -40C16 -38 20 -12 14 0Z', paper) +
          circle(-6, -46, 12, paper) +
          path('M-14 -56l2 -10l8 6ZM-2 -58l6 -8l3 10Z', paper) +
          circle(-9, -47, 1.8, ink) +
          oval(-16, -26, 7, 8, tint[4]) +
          line('M-4 -30L-12 -26', 3),
      ),
  ],
};

function fallingCat() {
  return (
    line('M-22 -14V0M-12 -12V0M14 -12V0M24 -14V0', 6) +
    line('M-28 -24Q-46 -30 -44 -48', 5) +
    path('M-32 -26C-30 -40 14 -42 26 -36C32 -26 26 -12 16 -10C0 -6 -16 -8 -26 -10C-32 -14 -34 -20 -32 -26Z', tint[3]) +
    path('M22 -48L24 -58L32 -52Q38 -54 44 -51L52 -57L52 -44C52 -30 26 -28 24 -40Z', tint[3]) +
    circle(34, -44, 1.8, ink) +
    circle(45, -44, 1.8, ink)
  );
}
