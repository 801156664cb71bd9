# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What setting up takes in one gym: the working figures, replaced kind by kind of adjuster by what change-overs
      # took here (Planning::SettingUp).
      class SetUpTimes
        HOP = Planning::Exercise::HOP

        # Asked once an hour.
        def self.of(gym)
          Kept.shared.of(:set_up_times, [gym.id, Time.now.to_i / 3600]) { new(learned(gym)) }
        end

        def self.learned(gym)
          rows = gym.machines.all.to_h { |row| [row[:id], row] }
          found = Store::Queries::Changeovers.new(gym).call(longest_s: Seconds::TIMES[:longest_s])
          Planning::SettingUp.learned(found.filter_map { |one| measured(one, rows) })
        end

        # [{kind => working seconds}, seconds that it took], nil of a machine that cannot be read.
        def self.measured(one, rows)
          here, left = rows.values_at(*one.values_at(:machine_id, :left_id))
          machine = here && left && described(here, one[:exercise]) or return

          [moved(machine, one), [one[:seconds] - beside_s(here, left), 0].max]
        end

        def self.moved(machine, one)
          machine
            .adjusters
            .each_with_object(Hash.new(0)) do |adjuster, all|
              from, upto = one.values_at(:stood, :marks).map { |marks| adjuster.marks.index(marks[adjuster.label]) }
              next if from.nil? || upto.nil? || from == upto

              once_s, mark_s = Planning::SettingUp.working
              all[Planning::SettingUp.kind(adjuster)] += once_s + ((upto - from).abs * mark_s)
            end
        end

        # What is no setting up: out of the one before, written down, the way, and the pin.
        def self.beside_s(here, left)
          way = here[:place] == left[:place] ? HOP[:within_s] : HOP[:between_s]
          Seconds::AT_MACHINE.values_at(:out_s, :pin_s).sum + Planning::Exercise::WRITE_DOWN_S + way
        end
        private_class_method :learned, :measured, :moved, :beside_s

        # learned: {kind => Planning::Learned}, shares of the working figures.
        def initialize(learned) = @learned = learned

        # {label => [seconds to loosen and fix it, seconds a mark that it goes]}, to the tenth.
        def adjusters(machine)
          machine.adjusters.to_h do |adjuster|
            times = of(adjuster).mean
            [adjuster.label, Planning::SettingUp.working.map { |seconds| Rational((seconds * times * 10).round, 10) }]
          end
        end

        # Planning::Changeover of a machine's row and one of its exercises; of one that cannot be read, the pin alone.
        def changeover(row, exercise)
          machine = SetUpTimes.described(row, exercise)
          Planning::Changeover.new(pin_s: Seconds::AT_MACHINE[:pin_s], adjusters: machine ? adjusters(machine) : {})
        end

        # nil of one that cannot be read.
        def self.described(row, exercise) = OneLine.of(row[:id], -> {}) { Described.machine(row, exercise[/.+/]) }

        # What it rests on, as plain data.
        def basis = @learned.transform_values { |one| [one.mean, one.sd] }.to_a.flatten

        # How far setting this machine up goes astray, as a share of what it takes: that of its least sure adjuster.
        def sd_share(machine)
          shares = machine.adjusters.map { |adjuster| of(adjuster).then { |one| one.sd / one.mean } }
          shares.max || Planning::SettingUp.unmeasured.sd
        end

        private

        def of(adjuster)
          @learned.fetch(Planning::SettingUp.kind(adjuster)) { Planning::SettingUp.unmeasured }
        end
      end
    end
  end
end
