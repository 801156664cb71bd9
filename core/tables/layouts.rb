# frozen_string_literal: true

module Verglas
  module Tables
    # What stands in each table of core/data. What a column means is said at the head of its file.
    module Layouts
      extend Columns

      BY_SEX = row(man: number, woman: number, not_given: number)
      FIGURES_BY_ACTION = map(named(:action), map(named(:wish), number))
      ENVELOPES = map(named(:action), map(named(:motion), ends))
      TAGS = maybe(list(named(:tag)), [])
      OBSERVED = map(named(:body_parameter), number)

      BANDS = {
        bands: map(name, cited(unit: one_of(:mm, :deg), target: number, in_line: range, close: range, half: number))
      }.freeze

      BODY = {
        parameters:
          rows(
            what: text,
            share: ->(given, at) { (given.is_a?(Hash) ? BY_SEX : number).call(given, at) },
            residual_sd_share: number,
            together: maybe(number, 0),
            soft: maybe(flag, false),
            by_mass: maybe(number, 0)
          ),
        prior_stature_mm: row(man: figures(:mean, :sd), woman: figures(:mean, :sd), not_given: figures(:mean, :sd)),
        skeleton: cited(row: OBSERVED, sd_share: number),
        build:
          cited(
            usual: number,
            least: number,
            most: number,
            heavy: number,
            heavy_factor: number,
            ask_above: number,
            ask_for: list(named(:observation))
          ),
        ageing: figures(:from_years, :man, :woman, :not_given, :sd_share, :trunk_share),
        unusual_stature: cited(below_mm: number, above_mm: number, ask_for: list(named(:observation))),
        gravity: figures(:m_per_s2),
        stature_range_mm: figures(:low, :high),
        slip_sds: number,
        observations: rows(row: OBSERVED, sd: number, lost: maybe(number, 0)),
        people: rows(sex: maybe(text), stature_mm: number),
        tried_statures_mm: figures(:low, :high, :step)
      }.freeze

      CALF = { calf: figures(:top_deg, :ball_share) }.freeze

      CAUTIONS = {
        cautions:
          rows(
            asked: maybe(flag, true),
            sided: maybe(flag, false),
            joints: maybe(flag, false),
            of: maybe(named(:joint)),
            asks: TAGS,
            bars:
              maybe(
                list(
                  row(
                    tags: list(named(:bar)),
                    until: one_of(:cleared, :degrees, :named, :asked),
                    or_degrees: maybe(flag, false),
                    motion: maybe(named(:motion))
                  )
                ),
                []
              ),
            degrees_of: maybe(named(:motion)),
            envelope: maybe(ENVELOPES, {}),
            until_measured: maybe(ENVELOPES, {}),
            less: maybe(FIGURES_BY_ACTION, {}),
            wishes: maybe(FIGURES_BY_ACTION, {}),
            uncleared_wishes: maybe(FIGURES_BY_ACTION, {}),
            schools: maybe(paired(:question, :school), {}),
            without: maybe(list(named(:choice)), []),
            belt: maybe(one_of(:always, :never)),
            belt_uncleared: maybe(one_of(:always, :never)),
            light_share: maybe(number),
            half_first: maybe(flag, false),
            no_holds: maybe(flag, false),
            no_timed: maybe(flag, false),
            under_belt_load: maybe(flag, false),
            in_hand: maybe(number),
            rest_s: maybe(number),
            as_cleared: maybe(named(:caution)),
            told: maybe(list(row(key: name, where: TAGS, plates: maybe(flag, false))), []),
            stop: maybe(list(name), [])
          ),
        joints: rows(tags: list(named(:tag)))
      }.freeze

      HINGE = {
        trunk: figures(:mass, :centre),
        thighs: figures(:mass, :centre),
        held: figures(:at),
        knee_level: figures(:low_mm, :high_mm),
        bottom: figures(:steepest_deg, :least_deg),
        knees: figures(:soft_to_deg),
        mass: figures(:kg_per_m2),
        band: figures(:knee_lever_mm, :hip_lever_mm, :strongest_n),
        held_at_most: figures(:kg),
        compared: cited(bench_deg: list(number)),
        gap: figures(:thighs_carry_over_mm),
        ready: figures(:clean_visits, :kept_long_visits, :beginner_share, :band_step_n, :weight_step_kg)
      }.freeze

      CUES = {
        cues:
          rows(
            of: TAGS,
            about: maybe(list(named(:sign)), []),
            felt: maybe(list(named(:region)), []),
            spares: maybe(list(named(:spared)), [])
          )
      }.freeze

      EMPHASES = {
        emphases:
          rows(
            of: list(named(:tag)),
            question: maybe(named(:question)),
            schools: maybe(paired(:question, :school), {}),
            wishes: maybe(map(named(:wish), number), {}),
            needs: maybe(list(named(:limit)), []),
            without: maybe(list(named(:choice)), []),
            spares: maybe(list(named(:joint)), []),
            meant: list(named(:region))
          )
      }.freeze

      HOUSE_RULES = {
        questions:
          rows(
            default: name,
            of: TAGS,
            but_of: TAGS,
            schools:
              list(row(name: name, needs: maybe(list(named(:known)), []), wishes: maybe(map(named(:wish), number), {})))
          )
      }.freeze

      KNEE = {
        faults:
          row(
            on_the_foot: figures(:above_ankle_below_mm),
            on_the_calf: figures(:above_ankle_over_share_of_shank),
            on_the_kneecap: figures(:kneecap_gap_below_mm),
            far_from_pivot: figures(:offset_over_mm)
          ),
        hamstrings: figures(:clear_by_deg),
        kneecap_edge: figures(:behind_knee_mm),
        ends: figures(:clear_of_slack_deg),
        creep: figures(:none_below_mm, :slight_up_to_mm),
        fixed_seat: cited(gap_graded_up_to: name, cost_at_most: number),
        lying_hips: figures(:bend_deg, :share_of_torso)
      }.freeze

      LIMITS = {
        gates: rows(tag: named(:tag), as: named(:limit)),
        margins: rows(motion: named(:motion), past_deg: maybe(number), short_deg: maybe(number)),
        limits:
          rows(
            motion: maybe(named(:motion)),
            default: maybe(number),
            stricter: maybe(row(default: number, from_years: number, above_kg_per_m2: number)),
            low: number,
            high: number,
            per_cm: maybe(number),
            read_on: maybe(one_of(:foot, :thigh, :chest)),
            skipped_under: list(named(:caution))
          )
      }.freeze

      TEMPO = { up_s: number, hold_s: number, down_s: number, pause_s: number }.freeze
      LOADS = {
        figures:
          row(
            light_set: figures(:share),
            belt: figures(:above_share_of_body_mass),
            curl_to_extension: figures(:usual, :low, :high),
            one_leg: figures(:share),
            remarked: figures(:from),
            side_difference: figures(:above_share)
          ),
        gap: figures(:after_weeks, :free_weeks, :lost_a_week, :least_share, :anew_after_weeks),
        tempos:
          map(
            named(:tempo),
            cited(
              **TEMPO,
              slow_s: maybe(number),
              slow_deg: maybe(number),
              set_s: maybe(number),
              most_repetitions: maybe(number)
            )
          ),
        usual: figures(:repetitions, :sets),
        drop: figures(:share, :most),
        log:
          row(
            whole_range: figures(:from_share),
            clean_visits: figures(:count),
            newcomers_range: figures(:range, :control),
            one_visit: figures(:hours)
          ),
        rest: figures(:seconds),
        aims:
          list(
            cited(
              name: text,
              sets: number,
              repetitions: maybe(number),
              seconds: maybe(number),
              rest_s: number,
              **TEMPO.transform_values { |reader| maybe(reader) }
            )
          )
      }.freeze

      MOVES = {
        moves:
          rows(
            of: list(named(:tag)),
            at: one_of(:in, :out),
            who: one_of(:client, :instructor),
            what: one_of(:leg, :pad, :arm, :catch, :pin, :handle, :plate, :seat, :belt, :load),
            after: maybe(list(named(:move)), []),
            unloads: maybe(flag, false),
            loaded: maybe(flag, false),
            catch: maybe(flag, false),
            leaves: maybe(name),
            undone_by: maybe(named(:move))
          )
      }.freeze

      PRESS = {
        foot: figures(:heel_to_ankle, :ankle_to_middle, :ankle_to_toes, :shoe_end_mm),
        movement: figures(:top_bend_deg),
        depth: figures(:right_angle_deg, :pelvis_deg),
        stop: figures(:slack_mm, :highest_mm, :lowest_mm),
        wedge: figures(:most_deg),
        latch: figures(:from_straight_mm, :standing_bend_deg, :past_latch_mm),
        sole: figures(:mm),
        belt: figures(:ring_over_hip_mm, :lift_mm, :bottom_mm, :clip_share),
        squat:
          figures(
            :ankle_share,
            :lean_share,
            :lean_share_given,
            :lean_share_hung,
            :past_right_angle_share,
            :level_ankle_most_deg,
            :thighs_level_deg
          ),
        upright: figures(:least_deg),
        foot_share: figures(:even),
        unmeasured: figures(:highest_share, :lowest_share),
        calf_work: figures(:bent_deg, :off_the_stop_mm, :slack_mm, :far_mm, :too_far_mm),
        stance: figures(:share_of_stature, :turn_deg, :widest_mm, :furthest_deg, :shoe_mm)
      }.freeze

      REFITS = {
        rules:
          list(
            by_name(
              **%i[caution_changed sign_unsolved redescribed].to_h { |rule| [rule, cited(name: name)] },
              notches: cited(name: name, more_than: number),
              range_never_whole: cited(name: name, visits: number),
              load_doubled: cited(name: name, times: number),
              grown: cited(name: name, under_years: number, months: number),
              long_since: cited(name: name, months: number),
              never_checked: cited(name: name, months: number)
            )
          )
      }.freeze

      MOTION = {
        still: figures(:seconds, :within_deg_s),
        held: figures(:seconds),
        gravity: figures(:m_s2, :within_m_s2, :constant_s),
        turns: figures(:back, :rise),
        counted: figures(:from, :upto),
        slam: figures(:over_m_s2, :samples, :within_s),
        back: figures(:share),
        slip: figures(*%i[over apart most seconds along_m_s2 unfelt_over unfelt_rad_s2 gain_over turning_rad_s2]),
        whole: figures(:arm, :foot, :chest, :thigh),
        past: figures(:arm, :foot, :chest, :thigh),
        arc: figures(:least_deg),
        hard: figures(:over, :repetitions),
        remarks: figures(:off_s, :off_share, :shrinks),
        curve: figures(:points, :step_s)
      }.freeze

      PRACTICE = {
        levels: rows(machine: number, limits: number, cautioned: number, barred: number, technique: number),
        slip: figures(:share),
        limits: figures(:hip_limit_deg, :ankle_limit_deg),
        play: figures(:readings, :watches),
        score:
          figures(
            :fit,
            :moves,
            :readings,
            :signs,
            :causes,
            :cues,
            :load,
            :pass,
            :a_move,
            :a_reading,
            :a_step,
            :severity,
            :not_asked
          ),
        seconds: figures(:ask, :take, :set, :watch, :cause, :cue, :load)
      }.freeze

      REGIONS = {
        regions:
          rows(
            joint: maybe(flag, false),
            works: maybe(list(named(:purpose)), []),
            helps: maybe(list(named(:purpose)), [])
          )
      }.freeze

      SESSION = {
        ranks: cited(by_action: map(named(:action), number)),
        orders: rows(places: list(number), why: list(name)),
        parts_played: rows(place: number, why: name),
        worths: rows(worth: number),
        shares_by_sets: cited(shares: list(number)),
        hop: figures(:within_s, :between_s, :same_muscle_s),
        write_down: figures(:seconds),
        most: figures(:exercises),
        at_machine: figures(:in_s, :out_s, :adjuster_s, :mark_s, :pin_s, :plate_s),
        light_set: figures(:repetitions, :rest_s),
        rested: figures(:within_hours, :share),
        usual_worths: cited(by_rank: map(->(given, _) { given }, name)),
        times: figures(:once_sd_share, :set_sd_share, :rest_sd_share, :prior_count, :seldom_sds, :longest_s),
        first_fitting: figures(:look_s, :watch_s, :accept_s),
        in_turn: cited(without: list(named(:caution)), newcomers_from_years: number)
      }.freeze

      SIGNS = {
        signs:
          rows(
            never: maybe(flag, false),
            refer: maybe(flag, false),
            of: TAGS,
            shows:
              maybe(
                cited(
                  number: name,
                  over: maybe(number),
                  under: maybe(number),
                  spread: number,
                  dressed: maybe(row(at: number, spread: number))
                )
              ),
            causes:
              rows(
                finding: maybe(named(:finding)),
                quantity: maybe(named(:quantity)),
                over: maybe(flag),
                of: TAGS,
                choice: maybe(named(:choice)),
                kind: maybe(named(:decision)),
                towards: maybe(one_of(:less, :more))
              )
          ),
        weights: figures(:untold, :slip),
        reading:
          row(
            limits: rows(limit: named(:limit), usual_sd: number, measured_sd: number),
            thresholds: figures(:before, :after)
          ),
        stops: rows
      }.freeze

      SPREAD = { hips: figures(:half_width_share), start: figures(:unmeasured_deg) }.freeze

      STRENGTH = {
        shares: cited(by_action: map(named(:action), row(man: number, woman: number))),
        lean: figures(:full_kg_per_m2, :share_above, :usual_kg_per_m2),
        age: figures(:from_years, :a_year, :late_from_years, :late_a_year),
        young: figures(:below_years, :a_year),
        unproved: figures(:less),
        prior: figures(:common, :action, :age_unknown, :old_or_young, :sex_unknown, :mass_unknown),
        set:
          figures(
            :a_repetition,
            :full_repetitions,
            :past_share,
            :at_repetitions,
            :clean_in_hand,
            :clean_in_hand_sd,
            :easy_in_hand,
            :not_reached_in_hand,
            :sd
          ),
        weeks: figures(:walk_sd, :free, :lost, :most_lost),
        factor: figures(:sd, :least_sd),
        first: figures(:sds, :in_hand, :most_sd, :from_years, :below_years)
      }.freeze

      TAGS_TABLE = { asked: rows(motions: maybe(list(named(:motion)), [])), said: rows, actions: rows }.freeze

      TOPICS = {
        topics:
          rows(
            question: maybe(named(:question)),
            over: maybe(map(named(:question), list(name)), {}),
            cautions: maybe(list(named(:told)), []),
            aimed: maybe(map(named(:wish), name), {}),
            stage: maybe(named(:stage)),
            card: maybe(flag, false),
            of: TAGS,
            but_of: TAGS
          )
      }.freeze

      ALL = {
        bands: row(**BANDS),
        body: row(**BODY),
        calf: row(**CALF),
        cautions: row(**CAUTIONS),
        cues: row(**CUES),
        emphases: row(**EMPHASES),
        hinge: row(**HINGE),
        house_rules: row(**HOUSE_RULES),
        knee: row(**KNEE),
        limits: row(**LIMITS),
        loads: row(**LOADS),
        motion: row(**MOTION),
        moves: row(**MOVES),
        practice: row(**PRACTICE),
        press: row(**PRESS),
        refits: row(**REFITS),
        regions: row(**REGIONS),
        session: row(**SESSION),
        signs: row(**SIGNS),
        spread: row(**SPREAD),
        strength: row(**STRENGTH),
        tags: row(**TAGS_TABLE),
        topics: row(**TOPICS)
      }.freeze
    end
  end
end
