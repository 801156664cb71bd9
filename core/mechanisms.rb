# frozen_string_literal: true

module Verglas
  # The physics which families name: one class each, all held to the contract of Mechanism.
  module Mechanisms
    # By the name that families give: the only list of them.
    ALL = {
      seated_knee: "SeatedKnee",
      lying_knee: "LyingKnee",
      knee_lever: "KneeLever",
      leg_press: "LegPress",
      calf_press: "CalfPress",
      hack_squat: "HackSquat",
      hack_reach: "HackReach",
      belt_squat: "BeltSquat",
      hinge_bench: "HingeBench",
      glute_ham: "GluteHam",
      seated_hip: "SeatedHip"
    }.freeze

    module_function

    def fetch(name) = (@fetched ||= {})[name] ||= const_get(ALL.fetch(name))
    def of(machine) = fetch(machine.family.mechanism)

    # The class of a mechanism's own name in another room (Scenes, Telling).
    def room(namespace, mechanics) = namespace.const_get(mechanics.class.name[/\w+\z/])

    # Whole degrees as they are told: never more than an upper limit allows, never less than a lower one asks.
    def at_most(deg) = (deg + Mechanism::ALIKE_DEG).floor
    def at_least(deg) = (deg - Mechanism::ALIKE_DEG).ceil

    # A bend as it is told: whole degrees that are reached, so that no number says more than a limit allows.
    def whole_deg(deg) = at_most(deg.abs) * (deg.negative? ? -1 : 1)

    # One exact body on one machine.
    def for(machine, body, wishes) = of(machine).new(machine: machine, body: body, wishes: wishes)

    # Raises ArgumentError for a family that its mechanism cannot serve: asked of each before the register is closed.
    # Answers a middle body on a middle machine of it: [Mechanism, Place].
    def admit(family)
      mechanism = fetch(family.mechanism)
      refuse(family, "traits", mechanism::TRAITS - family.traits.keys)
      refuse(
        family,
        "rules of #{mechanism.name} for its decisions",
        family.decisions - mechanism::RULES.keys,
        mechanism::RULES.keys
      )
      refuse(
        family,
        "parameters of a body to be by hand",
        family.findings.values.flat_map { |kind| kind.by_hand.keys } - Body::PARAMETERS,
        Body::PARAMETERS
      )
      try(family, Sample.of(family))
    rescue KeyError => e
      names = e.receiver.respond_to?(:keys) ? e.receiver.keys : []
      raise ArgumentError,
            "#{family.id} needs #{e.key}, for #{family.mechanism} asks for it; it has #{Tables.nearest(e.key, names)}"
    end

    # Every number and finding.
    def try(family, machine)
      mechanics = self.for(machine, Body::People.three.fetch(:middle).dimensions, Wishes.for(family))
      place = mechanics.place(machine.parameters(machine.adjusters.map { 0 }))
      numbers = mechanics.quantities(place)
      found = mechanics.all_findings(place)
      refuse(family, "findings of #{mechanics.class.name}", machine.graded - found.map(&:code))
      refuse(
        family,
        "numbers of #{mechanics.class.name}",
        family.findings.each_value.flat_map(&:quantities).uniq - numbers.keys,
        numbers.keys
      )
      [mechanics, place]
    end

    # names: what is missing; known: what there is instead, for the nearest of them.
    def refuse(family, what, names, known = [])
      return if names.empty?

      meant = ": did you mean #{names.map { |name| Tables.nearest(name, known) }.join(", ")}?" if known.any?
      raise ArgumentError, "#{family.id} needs #{what}: #{names.join(", ")}#{meant}"
    end
    private_class_method :try
  end
end
