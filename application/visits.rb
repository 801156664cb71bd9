# frozen_string_literal: true

module Verglas
  module Application
    # Writing down what is lifted: a machine that stands as it was accepted, a set that was done, one that was written
    # by mistake. What keeps a client off, a load above what is allowed and an exercise that a joint has stopped today
    # are refused here, whoever asks.
    class Visits
      # meeting: of an accepted fitting, on the machine as it is described now.
      def initialize(meeting, by:, now: Time.now)
        @meeting = meeting
        @gym = meeting.gym
        @by = by
        @now = now
      end

      # The machine stands so; what is lifted there is what is told for today, until somebody writes it down. Answers
      # the visit's row.
      def begin(planned_kg: logbook.today&.choice&.mass_kg)
        refuse_unfit
        @gym.queues.stands(@meeting.machine_row[:id], @meeting.exercise, marks, by: @by, one_part: @meeting.one_part)
        @gym.clients.back(@meeting.client[:id])
        @gym.visits.begin(@meeting.fitting, planned_kg: planned_kg, since: @now - Logbook::GOES_ON_S, by: @by)
      end

      # given: {load_kg, repetitions, last, reached, felt, sign, leg, watched_by}, as it was done; number: the which of
      # today's it is to whoever writes it, so that two tablets do not write one set twice; nil where nobody says.
      def add(given)
        done = read(given)
        visit = self.begin
        raise Invalid.new(:stopped_today, path: "/felt") if visit[:stopped]

        refuse_written(visit, given[:number])

        movement = read_by_phone(given[:movement])
        how = { **given.slice(:last, :reached, :felt, :sign), cue: given[:said] }.compact
        SaidCues.count(@gym, said(given))
        @gym.visits.add(
          visit[:id],
          stops: stops?(how),
          by: @by,
          load_kg: load_kg(given),
          repetitions: given[:repetitions],
          leg: given[:leg],
          kind: given.fetch(:kind, ""),
          helped: given.fetch(:helped, 0),
          how: how,
          movement: movement,
          clean: done.clean?,
          sends_back: done.sends_back?,
          watched_by: watcher(given[:watched_by])
        )
      end

      # set, visit: rows. What a joint had stopped goes on where that set is taken back.
      def take_back(set, visit)
        left = @gym.visits.sets_of([visit[:id]]).fetch(visit[:id], []).reject { |one| one[:id] == set[:id] }
        @gym.visits.take_back(set, stopped: left.any? { |one| stops?(one[:how].transform_keys(&:to_sym)) }, by: @by)
      end

      private

      def logbook = @logbook ||= Logbook.of(@meeting)
      def family = @meeting.machine.family
      def marks = @marks ||= Sheet.today(@meeting, @meeting.fitting)[:marks]
      def meaning(felt) = felt && Guidance::Regions.fetch(felt).meaning(family)

      # Felt in a joint, or a sign with which nothing goes on.
      def stops?(how) = meaning(how[:felt]) == :joint || Guidance::Signs.never([how[:sign]&.to_sym].compact).any?

      def refuse_written(visit, number)
        return unless number && number <= @gym.visits.sets_of([visit[:id]]).fetch(visit[:id], []).size

        raise Invalid.new(:set_written, path: "/number", number: number)
      end

      # As it was accepted, for this client, on this machine, today.
      def refuse_unfit
        Described.on_the_floor!(@meeting.machine_row, path: "/machine")

        refused = @meeting.refusals(@meeting.evaluation(marks, @meeting.fitting[:aids].to_h)).first
        raise Invalid, refused if refused
      end

      # Where hands stay light or no hold is held, nobody is helped over what they cannot do alone.
      def refuse_help(given)
        helped = given.fetch(:kind, "") != "" || given.fetch(:helped, 0).positive?
        raise Invalid.new(:helped_barred, path: "/kind") if helped && !HelpedWork.allowed?(@meeting)
      end

      def said(given) = [given[:said]].compact

      def read(given)
        refuse_help(given)
        SaidCues.check(@gym, @meeting.machine, said(given), "/said")
        sign = given[:sign]&.to_sym
        unless sign.nil? || Guidance::Signs.of(@meeting.machine).include?(sign)
          raise Invalid.new(:not_allowed, path: "/sign")
        end

        felt = meaning(given[:felt])
        Loading::DoneSet.new(
          load_kg: load_kg(given),
          last: given[:last]&.to_sym,
          reached: given[:reached],
          joint: felt == :joint,
          sign: !sign.nil? || felt == :elsewhere,
          one_leg: !given[:leg].empty?
        )
      end

      # What stays of the movement that a phone read for this set; its reading is over.
      def read_by_phone(id)
        return unless id

        row = @gym.movements.hold(id)
        raise Invalid.new(:movement_gone, path: "/movement") unless row && row[:fitting_id] == @meeting.fitting[:id]
        raise Invalid.new(:movement_not_over, path: "/movement") unless row[:ended_at]

        @gym.movements.delete(id)
        Movement.new(row[:asked], row[:found]).kept
      end

      # As the machine can be loaded; never above what is allowed.
      def load_kg(given)
        kg = given[:load_kg]
        return kg unless @meeting.rig && kg

        choice = @meeting.rig.choices.nearest(kg)
        raise Invalid.new(:load_not_there, path: "/load_kg") if (choice.mass_kg - kg).abs > SAME_KG
        raise Invalid.new(:past_load_limit, path: "/load_kg") if Loading::NextLoad.over?(choice, @meeting.load_limit_kg)

        choice.mass_kg
      end

      # What is rounded to grams on its way here and back.
      SAME_KG = 0.001
      private_constant :SAME_KG

      # nil: nobody watched.
      def watcher(id)
        return id if id.nil? || @gym.db[:accounts].where(id: id, gym_id: @gym.id).get(:id)

        raise Invalid.new(:not_allowed, path: "/watched_by")
      end
    end
  end
end
