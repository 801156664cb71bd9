# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What a client could do today on one machine, told in plain data that can be kept: where, at which marks, with
      # which load, and what it costs in seconds but for setting the machine up.
      #   key          "machine id/exercise"; fitting_id: the accepted one, nil where nobody was fitted here yet
      #   tags         marks as a person reads them; marks: {label => mark}; printed: {label => marks in their order}
      #   aids         cushions and what changes on a station, in sentences; allowed: how one works there, as cautions
      #                and limits have it, in sentences; between_staff: of those, what is not the client's to read
      #   load, light  as printed, "" where there is none; load_kg: nil where none is known
      #   ladder       what would make it harder, and when; "" where nobody was fitted there
      #   seconds      {set_s:, rest_s:, told_rest_s:, light_s:, in_s:, out_s:, pin_s:}; sd_s: {once:, set:, rest:}
      #   set_up       {label => [seconds to loosen and fix it, seconds a mark]}; set_up_sd: a share of what that takes
      #   rank         what comes first (a smaller one), by the rule that holds; order: why it stands there, a code
      #   fit          how well it serves, least first ([numbers]; [] where it was accepted)
      #   lessons      what a check there teaches of the body, [[row, sd]]; asks: slopes of what it requires of it; both
      #                where nobody fitted them there
      #   stands_for   the name of the machine that a caution or its fit keeps them off, nil for none
      Possible =
        Value.define(
          :key,
          :machine_id,
          :exercise,
          :name,
          :place,
          :family,
          :action,
          :works,
          :loads,
          :fitting_id,
          :marks,
          :tags,
          :aids,
          :allowed,
          :between_staff,
          :printed,
          :load,
          :load_kg,
          :light,
          :ladder,
          :repetitions,
          :sets,
          :seconds,
          :sd_s,
          :set_up,
          :set_up_sd,
          :last_at,
          :fitted_at,
          :part,
          :rank,
          :order,
          :fit,
          :lessons,
          :asks,
          :stands_for
        ) do
          # In a plan: by its name, so that of two that are worth the same the one that comes first is always the same.
          def called = "#{name} #{key}"
          # How one works there, as it may stand on a paper or a phone: it names no caution and nobody.
          def how = allowed - between_staff
          def fitted? = !fitting_id.nil?

          # How setting it up is counted.
          def changeover
            Planning::Changeover.new(pin_s: seconds[:pin_s], adjusters: set_up.slice(*marks.keys))
          end

          # Seconds from the marks that stand there, {label => mark}; nil: nobody knows them.
          def change_s(standing) = changeover.seconds(standing && places(standing), places(marks)).round

          # {label => place of its mark}; of a mark that is not on this machine nothing is known.
          def places(some) = some.to_h { |label, mark| [label, printed.fetch(label, []).index(mark)] }.compact

          def planned(standing:, now:, kept: false, rank: self.rank)
            Planning::Exercise.new(
              id: called,
              works: works,
              rank: rank,
              place: place,
              worth: worth(now),
              kept: kept,
              most: [sets, Planning::Exercise::MOST_SETS].min,
              change_s: change_s(standing) + first_fitting.values.sum,
              **seconds.slice(:set_s, :rest_s, :light_s, :in_s, :out_s)
            )
          end

          # Of less where it was done a short while ago.
          def worth(now)
            Rational(Possible::WORTHS.fetch(part).to_s) * (rested?(now) ? 1 : Rational(Possible::RESTED[:share].to_s))
          end
          def rested?(now) = last_at.nil? || now - last_at > Possible::RESTED[:within_hours] * 3600

          # What comes to it where nobody was fitted there yet, {look_s:, watch_s:, accept_s:}.
          def first_fitting = fitted? ? {} : Possible::FIRST_FITTING

          # As Planning::Teaching takes it.
          def pupil(standing)
            whole = planned(standing: standing, now: Time.now).alone_s(1)
            Planning::Teaching::Pupil.new(id: called, rank: rank, seconds: whole, lessons: lessons, asks: asks)
          end
        end

      class Possible
        RANKS = Tables[:session][:ranks][:by_action]
        WORTHS = Tables[:session][:worths].to_h { |row| row.values_at(:name, :worth) }.freeze
        USUAL = Tables[:session][:usual_worths][:by_rank]
        RESTED = Tables[:session][:rested]
        FIRST_FITTING = Tables[:session][:first_fitting].slice(:look_s, :watch_s, :accept_s).freeze
      end
    end
  end
end
