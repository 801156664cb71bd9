# frozen_string_literal: true

module Verglas
  module Machines
    # A family of machines, as it is declared (Families.define): the physics it follows and everything that anybody has
    # to know of it. Whole, checked and frozen.
    #   mechanism   names the mechanics in Mechanisms; traits: what those want to know of a family ({side: 1})
    #   action      the joint action it trains, by which cautions narrow; purpose: names the sentence for which it is
    #               there
    #   tags        {tag => true or false}: what it loads and how one sits on it; its action is a tag of its own
    #   constants   {name => Constant}; groups: {group => names}, the joint's first; those of :joint decide where the
    #               joint is, and all their combinations are tried; the others are solved one at a time for a given
    #               place of the joint
    #   kinds       {name => AdjusterKind}; wishes: {name => Wish}; choices: {name => Choice}; joints: {motion =>
    #               JointMotion}
    #   findings    {code => FindingKind}, in the order in which they are told
    #   emphasis    what it is done for (Emphasis), nil for what the family is there for
    Family =
      Value.define(
        :id,
        :mechanism,
        :traits,
        :action,
        :purpose,
        :tags,
        :constants,
        :groups,
        :kinds,
        :wishes,
        :choices,
        :joints,
        :findings,
        :emphasis
      ) do
        # The exercises that are done on it: one, which needs no name; a station has several.
        def exercises = { nil => self }

        # {name => Family} of what it can be done for beside, each an exercise with a log of its own.
        def emphases = Emphasis.families(self)

        # {name => Family} of what is done on it whatever it is for, and of all that is done on it.
        def plain_exercises = Families.plain_exercises(self)
        def all_exercises = Families.all_exercises(self)

        # One of them; "" is the one that needs no name. Raises Invalid where it is none.
        def exercise(name) = Families.exercise(all_exercises, name)

        # As Station has them: which exercise is meant by a name; the one whose emphasis it is.
        def named(name) = name
        def plain(name) = Families.beside(self).keys.find { |one| "#{name}_".start_with?("#{one}_") }

        # A machine's plain data as that of one exercise: of one beside, without what has no say in it.
        def exercise_data(data, name)
          done = exercise(name)
          plain(name) ? done.cut(data) : data
        end

        def cut(data)
          names = constants.keys.map(&:to_s)
          adjusters = data.fetch("adjusters").map { |one| one.merge("drives" => one.fetch("drives").slice(*names)) }
          data.merge("constants" => data.fetch("constants").slice(*names), "adjusters" => adjusters)
        end

        def constant(name)
          constants.fetch(name) do
            raise Invalid.new(:unknown_constant, path: "/#{name}", family: id.to_s, name: name.to_s)
          end
        end

        # Whether both legs push one plate, of which one takes half at most.
        def one_plate? = tags[:on_a_plate] || tags[:on_an_edge]

        # Whether it says yes to all of these tags.
        def all?(names) = names.all? { |name| tags[name] }

        # The group in which an adjuster is solved: :joint unless everything it drives lies within one group; :recorded
        # when it drives nothing that is known, so that its mark is written down and never advised.
        def group_of(adjuster) = group_of_driven(adjuster.drives)

        def group_of_driven(drives)
          return :recorded if drives.empty?

          groups.keys.find { |name| (drives.keys - groups[name]).empty? } || :joint
        end

        # Groups but the joint's.
        def side_groups = groups.keys - [:joint]

        # Whether something is graded in a group.
        def grades?(group) = findings.each_value.any? { |kind| kind.group == group }

        # The kind of an adjuster: the one that drives the same, else the first that drives any of it; nil where none
        # does.
        def kind_of(drives)
          kinds.each_value.find { |kind| kind.like?(drives) } ||
            kinds.each_value.find { |kind| kind.drives.keys.intersect?(drives.keys) }
        end

        # Of its kinds, as AdjusterKind.matching.
        def kind_matching(drives) = AdjusterKind.matching(kinds.values, drives)

        # Kinds that serve several exercises at once (Station): none.
        def shared_kinds = []

        # Those of which it is asked where a machine is entered, whether it has them: of the whole, then {exercise =>
        # kinds} of a station.
        def asked_kinds = kinds.values
        def asked_of(_exercise) = []

        # Those that can be chosen where a machine is entered.
        def choosable_kinds = [*kinds.values, AdjusterKind::RECORDED]

        # Names of all that decides an adjuster here.
        def decisions = kinds.each_value.flat_map(&:decisions).uniq

        # How many ways to stand the solver compares for adjusters, each given by what it drives and how many marks it
        # has: every combination of the joint's with every one of each graded group.
        def tries(adjusters)
          ways =
            adjusters
              .group_by { |drives, _| group_of_driven(drives) }
              .transform_values { |list| list.map(&:last).inject(1, :*) }
          graded = side_groups.select { |name| grades?(name) }
          ways.fetch(:joint, 1) * [graded.sum { |name| ways.fetch(name, 1) }, 1].max
        end

        # Raises Invalid where there are more than can be compared while somebody waits.
        def self.check_tries(tries)
          return unless tries > Family::MOST_TRIES
          raise Invalid.new(:too_many_marks, path: "/adjusters", tries: tries, most: Family::MOST_TRIES)
        end

        # The groups of which something can be told, the joint first.
        def told = groups.keys

        # The family as far as these constants are known: a group is told when all of its constants are known, and
        # without the joint's nothing is.
        def told_by(known)
          kept = (groups.fetch(:joint, []) - known).empty? ? groups.select { |_, names| (names - known).empty? } : {}
          aside = constants.select { |name, constant| constant.group.nil? && known.include?(name) }.keys
          with(
            groups: kept,
            constants: constants.slice(*kept.values.flatten, *aside),
            findings: findings.select { |_, kind| kept.key?(kind.group) }
          )
        end

        # Names of the constants without which a machine is not whole.
        def needed = constants.reject { |_, constant| constant.optional }.keys

        # {name => value} of what holds where nobody taped it.
        def defaults = constants.transform_values(&:default).compact
      end

    # About a second of the solver's time.
    Family::MOST_TRIES = 20_000
  end
end
