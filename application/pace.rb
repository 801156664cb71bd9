# frozen_string_literal: true

module Verglas
  module Application
    # At which tempo a client works on a machine, and with which aim.
    class Pace
      # meeting: Meeting.
      def initialize(meeting)
        @meeting = meeting
      end

      # The seconds of a repetition by aim, else as they stand for such machines, without holds where a caution forbids
      # them.
      def tempo(aim = self.aim)
        tempo = aim && !(aim.seconds && untimed?) ? aim.paced(standing) : standing
        holds? ? tempo : tempo.without_holds
      end

      # The same with the aim that is named in {aim:}, nil for none; without it as the fitting has it.
      def asked(input) = input.key?(:aim) ? tempo(aim(input[:aim])) : tempo

      # The gym's aim of that name; of the fitting where none is said. nil: none was chosen, or it is no more.
      def aim(name = @meeting.fitting&.dig(:work, "aim"))
        name && Loading::Aim.table(@meeting.gym.aims.all).find { |aim| aim.name == name }
      end

      # The question of the house rules, where its school is not what is told: without its holds, or in other seconds.
      def overridden = (question if !holds? || own_seconds || untimed?)

      # Seconds between sets, no fewer than a caution asks for.
      def rest_s(aim = self.aim)
        [aim&.rest_s || Tables[:loads][:rest][:seconds], @meeting.caution_effect.rest_s].compact.max
      end

      private

      def question = @question ||= Guidance::HouseRules.tempo(family)
      def family = @meeting.machine.family
      def untimed? = @meeting.caution_effect.no_timed
      def holds? = !@meeting.caution_effect.no_holds

      # By the school chosen for the client, else by the gym's own seconds for such machines, else by the gym's school.
      def standing
        @standing ||=
          begin
            said = own_seconds || Loading::Tempo.of(@meeting.rules[question])
            said.set_s && untimed? ? Loading::Tempo.of(Guidance::HouseRules.fetch(question).default) : said
          end
      end

      # The gym's, by family; nil where it has none there, or a school was chosen for the client or by a caution.
      def own_seconds
        return if @meeting.own_rules.key?(question) || @meeting.caution_effect.schools.key?(question)

        @meeting.gym.tempos.all[family.id]&.then { |row| Loading::Tempo.read(row) }
      end
    end
  end
end
