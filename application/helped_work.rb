# frozen_string_literal: true

module Verglas
  module Application
    # What a set goes on with when it cannot go on alone: lighter at once, with a partner's help, up with help and down
    # alone, or by one's own hands. Not where a caution wants light hands, no holds or repetitions kept in hand.
    module HelpedWork
      KINDS = %i[drop partner lowering self].freeze

      module_function

      def allowed?(meeting)
        effect = meeting.caution_effect
        !effect.no_holds && effect.in_hand.nil? && effect.schools[:grip] != :light
      end

      # Loading choices after a load (kg), lighter and lighter, none above what is allowed; [] where nobody described
      # what can be loaded.
      def drops(meeting, load_kg)
        return [] unless meeting.rig && load_kg

        Loading::Drops
          .of(meeting.rig.choices, load_kg)
          .reject { |choice| Loading::NextLoad.over?(choice, meeting.load_limit_kg) }
      end

      # By whom it is made lighter: :alone where the pin is reached from the seat, :second_person where not, :unknown
      # where nobody wrote it down, :plates where plates come off.
      def by(meeting)
        return :plates unless meeting.rig&.kind == :stack

        { true => :alone, false => :second_person }.fetch(meeting.machine_row[:loading].to_h["reach"], :unknown)
      end
    end
  end
end
