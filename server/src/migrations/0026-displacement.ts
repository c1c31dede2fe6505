/** The laboratory of runs that were begun before laboratories had dimensions, with its dimensions: each column has a tool of its own. */
export const DISPLACEMENT = `{
  "id": "solid-by-displacement",
  "version": 1,
  "title": "Density by displacement",
  "setting": "Bronze deck nails, or another small solid of the harbour kit",
  "purpose": "Find the density of a solid from its mass and the water it pushes aside, say how well it is known, and compare it with the accepted value.",
  "kit": [
    "the piece to be measured, or several alike, dry",
    "50 mL cylinder",
    "0.01 g balance",
    "water at room temperature",
    "thread for lowering the piece",
    "thermometer",
    "paper towel"
  ],
  "cautions": [
    "Wear eye protection: glass and liquids are in use.",
    "Slide a heavy piece down the tilted cylinder, or lower it on a thread; dropped, it breaks the glass.",
    "Broken glass is swept up, never picked up by hand, and goes to its own bin.",
    "Wipe spilled water at once, from the floor and from the balance.",
    "Lead pieces: no bare hands, and wash afterwards.",
    "Follow your school’s and local rules, and ask the responsible adult."
  ],
  "options": [],
  "dimensions": [
    {
      "kind": "repeat",
      "id": "trial",
      "name": "Trial",
      "least": 3,
      "most": 8
    }
  ],
  "quantities": [
    {
      "kind": "counted",
      "id": "pieces",
      "name": "Pieces together",
      "symbol": "n",
      "unit": "",
      "over": [],
      "halfWidth": 0,
      "optional": true,
      "usual": "1",
      "step": "mass"
    },
    {
      "kind": "read",
      "id": "mass",
      "name": "Dry mass",
      "symbol": "m",
      "unit": "g",
      "over": [
        "trial"
      ],
      "tools": {
        "kinds": [
          "balances"
        ]
      },
      "step": "mass"
    },
    {
      "kind": "read",
      "id": "before",
      "name": "Water before",
      "symbol": "V_1",
      "unit": "mL",
      "over": [
        "trial"
      ],
      "tools": {
        "kinds": [
          "graduated-glass"
        ]
      },
      "step": "before"
    },
    {
      "kind": "read",
      "id": "after",
      "name": "Water after",
      "symbol": "V_2",
      "unit": "mL",
      "over": [
        "trial"
      ],
      "tools": {
        "kinds": [
          "graduated-glass"
        ]
      },
      "step": "after"
    },
    {
      "kind": "computed",
      "id": "volume",
      "name": "Volume",
      "symbol": "V",
      "unit": "mL",
      "over": [
        "trial"
      ],
      "formula": "after - before"
    },
    {
      "kind": "computed",
      "id": "density",
      "name": "Density",
      "symbol": "\\\\rho",
      "unit": "g/mL",
      "over": [
        "trial"
      ],
      "formula": "mass / volume"
    },
    {
      "kind": "computed",
      "id": "meanDensity",
      "name": "Mean density",
      "symbol": "\\\\bar{\\\\rho}",
      "unit": "g/mL",
      "over": [],
      "formula": "mean(density over trial)"
    },
    {
      "kind": "computed",
      "id": "onePiece",
      "name": "Volume of one piece",
      "symbol": "V_p",
      "unit": "mL",
      "over": [],
      "formula": "mean(volume over trial) / pieces"
    },
    {
      "kind": "read",
      "id": "temperature",
      "name": "Water temperature",
      "symbol": "t",
      "unit": "°C",
      "over": [],
      "tools": {
        "kinds": [
          "thermometers"
        ]
      },
      "optional": true,
      "step": "before"
    },
    {
      "kind": "looked-up",
      "id": "waterDensity",
      "name": "Density of water",
      "symbol": "\\\\rho_w",
      "unit": "g/mL",
      "over": [],
      "lookUp": "water-density",
      "of": [
        "temperature"
      ],
      "optional": true
    },
    {
      "kind": "observed",
      "id": "behaviour",
      "name": "In water the piece",
      "over": [],
      "choices": [
        {
          "id": "sank",
          "name": "sank"
        },
        {
          "id": "floated",
          "name": "floated and was pushed under"
        }
      ],
      "optional": true,
      "step": "after"
    }
  ],
  "results": [
    {
      "quantity": "meanDensity",
      "accepted": {
        "kind": "material"
      }
    }
  ],
  "comparisons": [],
  "checks": [
    {
      "check": "rises",
      "of": {
        "earlier": "before",
        "later": "after"
      },
      "message": "With the piece in it the water cannot stand lower than before."
    },
    {
      "check": "resolvable",
      "of": {
        "quantity": "volume"
      }
    },
    {
      "check": "sink-or-float",
      "of": {
        "observed": "behaviour",
        "sinks": "sank",
        "density": "meanDensity",
        "water": "waterDensity"
      }
    }
  ],
  "steps": [
    {
      "id": "mass",
      "title": "Dry mass",
      "text": "Tare the empty balance to zero. Weigh the dry piece and write every digit shown. Use the same balance for all trials.",
      "minutes": 4,
      "attention": "hands"
    },
    {
      "id": "before",
      "title": "Water before",
      "text": "Fill the cylinder about half, enough to cover the piece later. Level the eye, read the lowest point.",
      "minutes": 3,
      "attention": "hands"
    },
    {
      "id": "after",
      "title": "Water after",
      "text": "Lower the piece in. No bubbles, no splash, all of it under water; push a floating one just under. Read again.",
      "minutes": 4,
      "attention": "hands"
    },
    {
      "id": "again",
      "title": "Repeat",
      "text": "Dry the piece, start from another water level, and do it at least three times.",
      "minutes": 12,
      "attention": "hands"
    }
  ],
  "statements": [
    {
      "id": "wet",
      "text": "It does not matter whether the piece is weighed wet or dry.",
      "holds": false,
      "corrections": [
        "It must be dry: the water on it would be weighed as well.",
        "It must be wet, as it will be in the cylinder.",
        "It matters only for pieces that float."
      ],
      "because": "A film of water can weigh a tenth of a gram."
    },
    {
      "id": "bench",
      "text": "The cylinder is lifted to the eye for reading.",
      "holds": false,
      "corrections": [
        "It stands on the bench, and the eye goes down to it.",
        "It is held by the rim.",
        "It is tilted towards the light."
      ],
      "because": "In the hand it tilts, and its surface is no longer level with the marks."
    },
    {
      "id": "bubbles",
      "text": "Bubbles on the piece make its density come out too small.",
      "holds": true,
      "corrections": [],
      "because": "They push water aside too, so the volume seems larger."
    },
    {
      "id": "several",
      "text": "Several small pieces together give a better density than one.",
      "holds": true,
      "corrections": [],
      "because": "The same reading error is then a smaller part of a larger volume."
    },
    {
      "id": "lost-drop",
      "text": "Water that splashes out does no harm, since it is water that was there before.",
      "holds": false,
      "corrections": [
        "The volume then comes out too small.",
        "The volume then comes out too large.",
        "Only the mass changes."
      ],
      "because": "What has left the cylinder is missing in the second reading."
    }
  ],
  "questions": [
    {
      "id": "tool",
      "text": "Which tool limits your result, and how do the bars show it?"
    },
    {
      "id": "repeats",
      "text": "Do your repeats agree within the uncertainty of one reading? What would make all of them wrong together?"
    },
    {
      "id": "one",
      "text": "What is the volume of one piece?",
      "answer": {
        "kind": "number",
        "quantity": "onePiece"
      }
    },
    {
      "id": "conclusion",
      "text": "What could the piece be made of, and what could it not be?"
    }
  ],
  "samples": [
    {
      "accepted": "bronze",
      "entries": {
        "pieces": "6",
        "mass": [
          "54.31",
          "54.30",
          "54.31"
        ],
        "before": [
          "18.4",
          "17.6",
          "19.2"
        ],
        "after": [
          "24.6",
          "23.7",
          "25.4"
        ],
        "temperature": "20.5",
        "behaviour": "sank"
      }
    }
  ]
}`;
