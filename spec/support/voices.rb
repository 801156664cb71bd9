# frozen_string_literal: true

# How each school sounds, and which parts a machine may have, kept apart from the words that are told: what specs listen
# for.
module Voices
  # {question => {school => what only that school says}}
  SCHOOLS = {
    backrest: {
      as_reach: /as far back as the plate/i,
      fully_back: /all the way back/i
    },
    load_set: {
      last: /set last, after|lightest/i,
      first: /light set's (load|weight)|load was set first/i
    },
    lying_brace: {
      held: /pelvis held down/i,
      tucked: /tuck the pelvis/i
    },
    belt_top: {
      stand_tall: /stand tall between/i,
      just_short: /just short of straight between/i
    },
    newcomers_range: {
      whole: /new to it: the whole/i,
      less_first: /new to it: less/i,
      comfortable: /new to it: as far/i
    },
    press_hands: {
      handles: /hands (by|on) the handles/i,
      behind_head: /hands behind the head/i
    },
    thigh_pad: {
      firm: /\bfirm\b/i,
      resting: /only rest|rests on the thigh/i
    },
    grip: {
      light: /they do not squeeze|hands light/i,
      hard: /pull hard/i
    },
    feet_turn: {
      turned_out: /turned out 5|toes a little out|turned out 10°/i,
      straight: /feet straight|toes straight/i
    },
    hinge_feet: {
      slightly_out: /shoulder wide, turned out/i,
      straight_ahead: /shoulder wide, straight ahead/i
    },
    knees_toes: {
      over: /no further than over the ankles/i,
      up_to: /no further than the toes/i,
      past: /past the toes as far/i
    },
    stops: {
      just_below: /just below the working bottom/i,
      lowest: /as low as still catches/i,
      highest: /as high as does not cut/i
    },
    hip_pad: {
      above: /clear above the (pad's )?edge/i,
      level_edge: /level with the pad's edge/i
    },
    glute_ham_knee: {
      level_middle: /knees level with the pad/i,
      below_middle: /knees below the pad/i,
      above_middle: /knees above the pad/i
    },
    hinge_intent: {
      hips_move: /the spine (stays still|does not)|no rounding/i,
      spine_moves: /a back extension/i,
      rounded: /rounded and tucked/i
    },
    hinge_bottom: {
      squeezable: /still squeeze/i,
      back_flat: /only as deep as the back stays flat/i,
      stretch_felt: /stretch is felt/i,
      relaxed: /full stretch/i
    },
    toes_extension: {
      relaxed_up: /toes relaxed to pulled up/i,
      pulled_up: /toes pulled up/i,
      pointed: /toes pointed/i,
      relaxed: /toes relaxed\./i
    },
    toes_curl: {
      relaxed: /toes relaxed\./i,
      pulled_up: /toes pulled up/i
    },
    legs_turned: {
      straight: /knees and toes straight ahead/i,
      varied: /turned in or out/i
    },
    press_through: {
      whole_foot: /through the whole foot/i,
      heels: /through the heels/i
    },
    brace: {
      moderate: /brace a little|moderately/i,
      hard: /brace hard/i
    },
    stack_between: {
      hover: /just off its rest|just off the stack/i,
      light_touch: /rest lightly|light touch/i
    },
    extension_start: {
      right_angle: /about (a right angle|90°)/i,
      further_back: /about 100°/i
    },
    extension_end: {
      fully_straight: /fully straight/i,
      just_short: /10° short of straight/i
    },
    curl_start: {
      just_short: /just short of straight/i,
      fully_straight: /\Astraight, not forced/i
    },
    curl_end: {
      right_angle: /about a right angle/i,
      as_far_as_comes: /as far as it comes/i
    },
    extension_roller: {
      just_above: /just above the ankle/i,
      ankle_crease: /at the ankle crease/i,
      hand_above: /a hand's width above/i,
      comfort: /as it is comfortable/i
    },
    curl_roller: {
      on_tendon: /on the tendon/i,
      under_calf: /under the calf/i,
      comfort: /as it is comfortable/i
    }
  }.freeze

  # Parts of machines: how they are named, and by which tags or constants of a family, or by which load, a machine has
  # them.
  PARTS = {
    /\broller|on the shin\b/i => ->(family, _) do
      family.tags[:turns_on_pivot] || family.tags[:lies_face_down] || family.tags[:hinges] || family.tags[:kneels]
    end,
    /\bstack\b/i => ->(_, load) { load == "stack" },
    /\bplates\b(?! from)/i => ->(_, load) { %w[plates horn sled].include?(load) },
    /\bbare arm\b|\bhorn\b/i => ->(_, load) { load == "horn" },
    /off, both sides|on each side/i => ->(_, load) { load != "horn" },
    /left: the pin|\bpin at\b/i => ->(_, load) { load == "stack" },
    /\bseat\b(?! to (kneecap|crease))/i => ->(family, _) { family.constants.key?(:seat_height) },
    /\bsit(s|ting)?\b/i => ->(family, _) { family.constants.key?(:seat_height) },
    /\bbackrest|\brecline\b/i => ->(family, _) { family.kinds.key?(:recline) },
    /\bback (right )?(on|off|against) the pad|\bwhole back\b/i => ->(family, _) do
      family.constants.key?(:seat_height) || family.tags[:hacks]
    end,
    /\bsled\b/i => ->(family, _) { family.tags[:caught] && !family.tags[:hacks] },
    /\bcarriage\b/i => ->(family, _) { family.tags[:hacks] },
    /\bbench\b/i => ->(family, _) { family.tags[:lies_face_down] || family.tags[:hinges] || family.tags[:kneels] },
    /\brail\b/i => ->(family, _) do
      family.tags[:on_a_plate] || family.tags[:hacks] || family.id == :belt_squat || family.tags[:kneels]
    end,
    /\bhandles\b/i => ->(family, _) do
      !(family.tags[:hangs_from_hips] && family.id != :belt_squat) && !family.tags[:hinges]
    end,
    /\bchain\b/i => ->(family, _) { family.tags[:hangs_from_hips] },
    /\bpivots?\b|bolt head/i => ->(family, _) do
      family.tags[:turns_on_pivot] || family.tags[:lies_face_down] || family.tags[:spreads]
    end,
    /\bthigh pad\b/i => ->(family, _) { family.tags[:thigh_held] },
    /\blatch\b|\bunlatch/i => ->(family, _) { family.tags[:caught] }
  }.freeze
end
