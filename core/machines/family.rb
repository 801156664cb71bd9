# frozen_string_literal: true

module Verglas
  module Machines
    # A family of machines: the physics it follows, the constants it needs and how its adjusters are understood.
    #   mechanism   names the mechanics in Fitting::Mechanisms
    #   side        +1 where the pad lies in front of the lower leg, -1 behind it
    #   constants   {name => Constant}
    #   joint       constants whose adjusters decide where the joint is: all their combinations are tried
    #   groups      {name => constants} that are solved one group at a time for a given place of the joint
    #   findings    what is graded, in the order in which it is told
    #   wanted      defaults of what is aimed at
    #   straight    which end of the arc is the straight one (:start or :end) and the least knee bend allowed there, degrees
    #   gap_graded  whether a gap behind the knee is graded (a pinch always is)
    Family = Value.define(:id, :mechanism, :side, :constants, :joint, :groups, :findings, :wanted, :straight, :gap_graded) do
      def check
        unknown = [*joint, *groups.values.flatten] - constants.keys
        raise ArgumentError, "#{id} groups #{unknown.join(", ")}, which it does not have" unless unknown.empty?
        raise ArgumentError, "#{id} has no findings" if findings.empty?
      end

      def constant(name)
        constants.fetch(name) { raise Invalid.new(:unknown_constant, path: "/#{name}", family: id.to_s, name: name.to_s) }
      end

      # The group in which an adjuster is solved: :joint unless everything it drives lies within one group.
      def group_of(adjuster)
        groups.keys.find { |name| (adjuster.drives.keys - groups[name]).empty? } || :joint
      end
    end
  end
end
