# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A client met by a machine as something that they could do today: at the marks that were accepted, or at those
      # that are advised where nobody fitted them yet.
      class Offered
        USUAL = Tables[:loads][:usual]
        ORDERS = Tables[:session][:orders]
        PARTS = Tables[:session][:parts_played]

        # aim: Loading::Aim, nil as the fitting has it; taken: how long things took there, of Store::Queries::TimesTaken
        # or nil; set_up: SetUpTimes; last_at: when they were last there; log: a Logbook; lifted: what they lifted on
        # all machines, rows of Store::Queries::LiftedSets.
        def initialize(meeting, aim:, taken:, set_up:, last_at:, log:, lifted:)
          @meeting = meeting
          @aim = aim
          @taken = taken
          @set_up = set_up
          @last_at = last_at
          @log = log
          @lifted = lifted
        end

        def self.key(meeting) = "#{meeting.machine_row[:id]}/#{meeting.exercise}"
        def self.name(meeting) = Told::Names.machine(meeting.machine_row[:name], meeting.exercise)

        # marks, aids: accepted ones, as they can be set today.
        def accepted(marks, aids)
          row = @meeting.fitting
          possible(
            marks,
            tags: Told::Names.tags(marks, Aids.of(aids)),
            aids: [*Aids.says(Aids.of(aids), @meeting.bands), *Told::Between.of(@meeting, marks)],
            allowed: Told::Allowed.of(@meeting, @meeting.evaluation(marks, aids)),
            fitting_id: row[:id],
            fit: [],
            lessons: [],
            asks: [],
            ladder: Told::Today.ladder(log.ladder)[:says].first,
            **loaded
          )
        end

        # teaches: whether it counts what a check there would teach of the body.
        def advised(teaches:)
          marks = @meeting.advice.marks.compact
          possible(
            marks,
            tags: Told::Names.tags(marks, @meeting.advised_aids),
            aids: Aids.says(@meeting.advised_aids),
            allowed: Told::Allowed.of(@meeting),
            fitting_id: nil,
            fit: Substitutes.rank(@meeting.advice),
            ladder: "",
            light: "",
            **first_load,
            **(teaches ? teaching : { lessons: [], asks: [] })
          )
        end

        private

        # By what they lift elsewhere; nothing where that says too little.
        def first_load
          first = FirstLoads.of(@meeting, rows: @lifted)
          load = first && Told::Load.one(@meeting.rig, first.choice)[:text]
          { load: load ? Formats::Words.say("sessions.begin_with", load: load) : "", load_kg: nil }
        end

        # If the knee is seen on the pivot and the roller in place at the advised marks.
        def teaching
          lesson = Fitting::Checked.of(@meeting.advice.evaluation, machine: nil, knee_off_mm: 0.0, roller_seen: true)
          body = @meeting.estimation.met
          {
            lessons: lesson ? lesson.observations(body.dimensions).map { |one| [one.row, one.sd_mm] } : [],
            asks:
              Fitting::Requirement.gradients(
                machine: @meeting.machine,
                estimate: body,
                wishes: @meeting.advice.evaluation.wishes
              )
          }
        end

        def family = @meeting.machine.family
        def work = @meeting.fitting ? @meeting.fitting[:work] : {}
        def repetitions = (@aim&.repetitions || work["repetitions"] || USUAL[:repetitions]).to_i
        def sets = (@aim&.sets || work["sets"] || USUAL[:sets]).to_i
        attr_reader :log

        # Of a machine whose loads nobody described it is what somebody wrote.
        def loaded
          told = Told::Today.load(@meeting, log)
          return { load: written, load_kg: nil, light: "" } unless told

          { load: told[:load][:text], load_kg: told[:load][:kg], light: told[:alone] ? "" : told[:light][:text] }
        end

        def written = @meeting.overloaded?(work) ? "" : @meeting.fitting[:load]

        def possible(marks, light:, **told)
          Possible.new(
            key: Offered.key(@meeting),
            machine_id: @meeting.machine_row[:id],
            exercise: @meeting.exercise,
            name: Offered.name(@meeting),
            place: @meeting.machine_row[:place],
            marks: marks,
            printed: @meeting.machine.adjusters.to_h { |adjuster| [adjuster.label, adjuster.marks] },
            light: light,
            repetitions: repetitions,
            sets: @meeting.fitting ? sets : 1,
            last_at: @last_at,
            fitted_at: @meeting.fitting&.fetch(:accepted_at),
            stands_for: nil,
            between_staff: Told::Allowed.between_staff(@meeting),
            **purpose,
            **seconds(light: !light.empty?),
            **told
          )
        end

        def purpose
          {
            family: family.id,
            action: family.action,
            works: Guidance::Regions.meant(family),
            loads: Closed.loads(family),
            part: part,
            **order
          }
        end

        def seconds(light:)
          seconds =
            Seconds.new(
              @meeting,
              aim: @aim || @meeting.pace.aim,
              repetitions: repetitions,
              today: @meeting.fitting && log.today,
              light: light,
              taken: @taken
            )
          {
            seconds: seconds.to_h,
            sd_s: seconds.sd_s,
            set_up: @set_up.adjusters(@meeting.machine),
            set_up_sd: @set_up.sd_share(@meeting.machine)
          }
        end

        def joints = Possible::RANKS.fetch(family.action)

        # By the rule that holds for the client, where it says something.
        def part = played ? played[:name] : Possible::USUAL.fetch(joints)
        def played = PARTS.find { |row| row[:name] == @meeting.rules[:part_played] }

        def order
          return { rank: played[:place], order: played[:why] } if played

          row = ORDERS.find { |one| one[:name] == @meeting.rules[:session_order] }
          { rank: row[:places][joints - 1], order: row[:why][joints - 1] }
        end
      end
    end
  end
end
