# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # What somebody would lift on a machine on which they were never loaded, by what they lift elsewhere and by what
    # others lift here. docs/model.md section 13
    class FirstLoads
      # choice: to begin with, of the machine's rig; low, high: what is likely, as choices; sets, machines: how many it
      # rests on.
      Told = Struct.new(:choice, :low, :high, :sets, :machines)
      # What is told as likely reaches so many SDs either way.
      SDS = Loading::FirstLoad::FIRST[:sds]

      # nil where nothing is told: with any caution, where anything bars, where too little is known, or nobody described
      # the loads. rows: of Store::Queries::LiftedSets for this client, where somebody has them already.
      def self.of(meeting, rows: nil) = new(meeting, rows: rows).told

      def initialize(meeting, rows: nil, today: Date.today)
        @meeting = meeting
        @rows = rows
        @today = today
      end

      def told
        first = known? && first(sets) or return
        return if first.silent?

        low, high = [-1, 1].map { |side| nearest(Math.exp(first.mean + (side * SDS * first.sd))) }
        Told.new(felt.fetch(first.load_kg(felt.keys)), low, high, sets.size, sets.map(&:machine).uniq.size)
      end

      # How many steps of the machine a load (kg) lies off what is likely by what they lift elsewhere, where that is
      # more than chance; 0 where it is not, or nothing is told.
      def steps_off(load_kg)
        elsewhere = known? ? sets.reject { |set| set.machine == key } : []
        first = elsewhere.any? && first(elsewhere)
        return 0 if !first || first.silent?

        off = (Math.log(load_kg * push) - first.mean).abs
        return 0 if off < Statistics::Gaussian::INTERVAL * first.sd

        (place(nearest(Math.exp(first.mean))) - place(rig.choices.nearest(load_kg))).abs
      end

      private

      def gym = @meeting.gym
      def rig = @meeting.rig
      def key = MachineFactors.key(@meeting.machine_row[:id], @meeting.exercise)
      def action = StrengthLog.action(@meeting.machine.family)
      def known? = rig && action && @meeting.safety.rows.none? && @meeting.bars.none?
      def client_id = @meeting.client[:id]
      def sets = @sets ||= StrengthLog.sets(@rows || rows_read)
      def rows_read = Store::Queries::LiftedSets.new(gym).call([client_id]).fetch(client_id, [])
      def person = @person ||= StrengthLog.person(@meeting.client, @meeting.readings)

      def first(done)
        strength =
          Loading::Strength.new(
            person,
            done,
            now: StrengthLog.week(@today),
            factors: {
              key => [factor.mean, factor.sd**2]
            }
          )
        Loading::FirstLoad.new(strength, machine: key, action: action, person: person)
      end

      # This machine's own, by everybody else who was there.
      def factor
        @factor ||= MachineFactors.of(gym, @meeting.machine_row[:id], @meeting.exercise, action, without: client_id)
      end

      def push = @push ||= StrengthLog.push(@meeting.machine_row[:loading].to_h)

      # {kg that the legs feel => choice}
      def felt = @felt ||= rig.choices.choices.to_h { |choice| [choice.mass_kg * push, choice] }.except(0.0)
      def nearest(kilograms) = felt.min_by { |kg, _| (kg - kilograms).abs }.last
      def place(choice) = rig.choices.choices.index { |one| one.mass_kg == choice.mass_kg }
    end
  end
end
