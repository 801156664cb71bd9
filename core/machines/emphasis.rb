# frozen_string_literal: true

module Verglas
  module Machines
    # What an exercise can be done for, where a family serves more than one thing. core/data/emphases.yml
    #   of        tags of the families on which it is offered
    #   question  the house rule that may put it first, nil for none; schools: {question => school} that go with it
    #   wishes    what is aimed at, names of Mechanisms::Wishes; needs: limits that have to be the client's own before
    #   without   choices that are not offered with it; spares: joints on which no caution may be
    #   meant     muscles for which it is done
    # docs/model.md section 16
    Emphasis =
      Value.define(:name, :of, :question, :schools, :wishes, :needs, :without, :spares, :meant) do
        def offered_on?(family) = family.all?(of)
      end

    # Those that there are.
    class Emphasis
      ALL = Tables[:emphases][:emphases].map { |row| new(**row) }.freeze

      def self.of(family) = ALL.select { |one| one.offered_on?(family) }

      # Of an exercise's name what it says: [the exercise, "" where it needs no name; Emphasis or nil].
      def self.parted(exercise)
        one = ALL.select { |some| "_#{exercise}".end_with?("_#{some.name}") }.max_by { |some| some.name.size }
        one ? [exercise.delete_suffix(one.name.to_s).delete_suffix("_"), one] : [exercise, nil]
      end

      # {name => Family}: what a family can be done for beside what it is there for.
      def self.families(family) = of(family).to_h { |one| [one.name.to_s, family.with(emphasis: one)] }

      # The questions that may put one of them first: the exercise without a name keeps to their defaults, so that its
      # log is of one thing.
      def self.questions(family) = of(family).filter_map(&:question).uniq
    end
  end
end
