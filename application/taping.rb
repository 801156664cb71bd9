# frozen_string_literal: true

module Verglas
  module Application
    # One length of a machine being taped: what the description would be with it, whether that makes sense, how people
    # would sit. Nothing is written here.
    class Taping
      attr_reader :row, :exercise, :description

      # row: the machine's; exercise: its name, nil on a machine with one; by, at: who tapes and when (ISO 8601), nil to
      # try; learned: by how many checked fittings, where it is no tape that says so.
      def initialize(row, exercise: nil, by: nil, at: nil, learned: nil)
        @row = row
        @exercise = exercise
        @taped = { "by" => by, "at" => at, "learned" => learned }.compact
        @description = {
          constants: row[:constants].to_h,
          adjusters: row[:adjusters].to_a,
          exercises: row[:exercises].to_h,
          taped: row[:taped].to_h
        }
      end

      # value: mm or degrees with its sign; nil forgets it.
      def constant(name, value)
        range = family.constant(name.to_sym).range
        unless value.nil? || range.cover?(value)
          raise Invalid.new(:constant_out_of_range, path: "/value", name: name, low: range.min, high: range.max)
        end

        part = home_of(name)
        replace(part) { |data| data.merge("constants" => data.fetch("constants").merge(name => value).compact) }
        note([part, name].compact.join("/"), value.nil?)
        self
      end

      # travel: one number a mark from the first (mm or degrees), nil forgets it.
      def travel(label, travel)
        part = home_of_adjuster(label)
        replace(part) do |data|
          adjusters =
            data
              .fetch("adjusters")
              .map { |adjuster| adjuster["label"] == label ? with_travel(adjuster, travel) : adjuster }
          data.merge("adjusters" => adjusters)
        end
        note([part, label, "travel"].compact.join("/"), travel.nil?)
        self
      end

      # The exercise's machine as it would be, as far as it would be taped. Raises Invalid when it cannot be.
      def machine
        Described.value(@row.merge(@description.slice(:constants, :adjusters, :exercises)), exercise: exercise)
      end

      # Family of the exercise; its constants and adjusters as they would be.
      def family
        @family ||=
          Machines::Families
            .fetch(row[:family])
            .exercises
            .fetch(exercise) { raise Invalid.new(:not_allowed, path: "/exercise") }
      end
      def constants = { **@description[:constants], **part.fetch("constants", {}) }
      def adjusters = [*@description[:adjusters], *part.fetch("adjusters", [])]

      # What is odd about it: all of it, or what concerns one length just taped.
      def remarks = Fitting::Plausibility.of(machine)

      def remarks_on(constants) = remarks.select { |remark| remark.constants.intersect?(constants.map(&:to_sym)) }

      # Constants which an adjuster moves.
      def driven(label) = adjuster(label)["drives"].keys

      private

      def part = exercise ? exercises.fetch(exercise) : {}

      # On a station the exercise's own constants lie with it. The others are shared.
      def home_of(name)
        return unless exercise && family.groups.fetch(Machines::Families.fetch(row[:family]).own).include?(name.to_sym)
        exercise
      end

      def home_of_adjuster(label)
        return exercise if exercise && own(exercise).any? { |adjuster| adjuster["label"] == label }

        unless @description[:adjusters].any? { |adjuster| adjuster["label"] == label }
          raise(Invalid.new(:unknown_adjuster, path: "/adjuster", adjuster: label))
        end
        nil
      end

      def own(part) = part ? exercises.fetch(part)["adjusters"] : @description[:adjusters]

      # By name; raises Invalid for one that is not done here.
      def exercises
        @description[:exercises].tap do |known|
          raise Invalid.new(:not_allowed, path: "/exercise") unless exercise.nil? || known.key?(exercise)
        end
      end
      def adjuster(label) = own(home_of_adjuster(label)).find { |one| one["label"] == label }

      def with_travel(adjuster, travel)
        unless travel.nil? || travel.size == adjuster["marks"].size
          raise Invalid.new(:travel_per_mark, path: "/travel", marks: adjuster["marks"].size)
        end

        adjuster.merge("travel" => travel)
      end

      # Changes the shared part, or one exercise's.
      def replace(part)
        if part
          changed = yield(@description[:exercises].fetch(part))
          @description = @description.merge(exercises: @description[:exercises].merge(part => changed))
        else
          changed = yield("constants" => @description[:constants], "adjusters" => @description[:adjusters])
          @description = @description.merge(constants: changed["constants"], adjusters: changed["adjusters"])
        end
      end

      def note(key, forgotten)
        taped = @description[:taped].except(key)
        @description = @description.merge(taped: forgotten ? taped : taped.merge(key => @taped))
      end
    end
  end
end
