# frozen_string_literal: true

module Verglas
  module Machines
    # A family of machines: the physics it follows, the constants it needs and how its adjusters are understood.
    #   mechanism   names the mechanics in Fitting::Mechanisms
    #   side        +1 where the pad lies in front of the lower leg, -1 behind it
    #   constants   {name => Constant}
    #   joint       constants whose adjusters decide where the joint is: all their combinations are tried
    #   groups      {name => constants} that are solved one group at a time for a given place of the joint
    #   findings    {code => group it belongs to}, in the order in which they are told
    #   wanted      defaults of what is aimed at
    #   action      the joint action it trains, by which cautions narrow
    #   tags        {tag => true or false}: what it loads and how one lies on it; what is not answered bars (Fitting::Cautions)
    #   posture     {motion => degrees} into which it puts a joint by itself, whatever the marks (working figures)
    #   straight    which end of the arc is the straight one (:start or :end) and the least knee bend allowed there, degrees
    #   gap_graded  whether a gap behind the knee is graded (a pinch always is)
    Family = Value.define(:id, :mechanism, :side, :constants, :joint, :groups, :findings, :wanted, :action, :tags, :posture, :straight, :gap_graded) do
      def check
        unknown = [*joint, *groups.values.flatten] - constants.keys
        raise ArgumentError, "#{id} groups #{unknown.join(", ")}, which it does not have" unless unknown.empty?

        stray = findings.values.uniq - [:joint, *groups.keys]
        raise ArgumentError, "#{id} finds things in #{stray.join(", ")}, which it does not have" unless stray.empty?
      end

      # The exercises that are done on it: one, which needs no name; a station has several.
      def exercises = { nil => self }

      # A machine's plain data as that of one exercise.
      def exercise_data(data, exercise)
        raise Invalid.new(:unknown_exercise, path: "/exercise", exercise: exercise) if exercise

        data
      end

      def constant(name)
        constants.fetch(name) { raise Invalid.new(:unknown_constant, path: "/#{name}", family: id.to_s, name: name.to_s) }
      end

      # The group in which an adjuster is solved: :joint unless everything it drives lies within one group; :recorded when it
      # drives nothing that is known, so that its mark is written down and never advised.
      def group_of(adjuster) = group_of_driven(adjuster.drives)

      def group_of_driven(drives)
        return :recorded if drives.empty?

        groups.keys.find { |name| (drives.keys - groups[name]).empty? } || :joint
      end

      # How many ways to stand the solver compares for adjusters, each given by what it drives and how many marks it has: every
      # combination of the joint's with every one of each graded group.
      def tries(adjusters)
        ways = adjusters.group_by { |drives, _| group_of_driven(drives) }.transform_values { |list| list.map(&:last).inject(1, :*) }
        graded = groups.keys.select { |name| findings.value?(name) }
        ways.fetch(:joint, 1) * [graded.sum { |name| ways.fetch(name, 1) }, 1].max
      end

      # Raises Invalid where there are more than can be compared while somebody waits.
      def self.check_tries(tries)
        raise Invalid.new(:too_many_marks, path: "/adjusters", tries: tries, most: Family::MOST_TRIES) if tries > Family::MOST_TRIES
      end

      # The groups of which something is told, the joint first.
      def told = [*(:joint unless joint.empty?), *groups.keys]

      # The family as far as these constants are known: a group is told when all of its constants are known, and without the
      # joint's nothing is.
      def told_by(known)
        kept = (joint - known).empty? ? groups.select { |_, names| (names - known).empty? } : {}
        place = (joint - known).empty? ? joint : []
        with(joint: place, groups: kept, constants: constants.slice(*place, *kept.values.flatten),
             findings: findings.select { |_, group| group == :joint ? place.any? : kept.key?(group) })
      end

      # {name => value} of what holds where nobody taped it.
      def defaults = constants.transform_values(&:default).compact
    end

    # About a second of the solver's time.
    Family::MOST_TRIES = 20_000
  end
end
