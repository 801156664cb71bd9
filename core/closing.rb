# frozen_string_literal: true

module Verglas
  # The register closes: what no row of a table and no line of a declaration can see by itself is looked at once all of
  # them are read. Whatever is wrong stops the start, with file, line and what could have been meant.
  module Closing
    # Rows that are no choice of a family and may be left out nevertheless, what a school may need beside a limit, and
    # for whom a caution says something, whichever the action.
    BESIDE = { choice: Guidance::CautionRule::WAYS, known: %i[slack_from_deg], action: %i[all] }.freeze

    module_function

    def call
      families = Machines::Families.single
      # Names first: a misspelt one is told with its line, not by what the mechanism makes of it.
      references = [*Tables.references, *Machines::Families.references]
      of_numbers, of_rows = references.partition { |reference| reference.vocabulary == :quantity }
      known = names(families)
      of_rows.each { |reference| reference.check(known) }
      numbers = families.flat_map { |family| admit(family) }
      of_numbers.each { |reference| reference.check({ quantity: numbers }) }
      Machines::Families.close
      Guidance::HouseRules::QUESTIONS.each_value { |question| try_schools(question, families) }
      Guidance::Cautions::RULES.each_value { |rule| try_caution(rule, families) }
      families.each { |family| look_over(family) }
      look_over_orders
      Guidance::Cues::ALL.each { |cue| look_over_cue(cue, families) }
    end

    # Whatever a cue is about can be seen on a family on which it is meant.
    def look_over_cue(cue, families)
      lost =
        (cue.about & Guidance::Signs::ALL.keys).reject do |sign|
          families.any? { |family| family.all?(cue.of) && family.all?(Guidance::Signs::ALL.fetch(sign).of) }
        end
      return if lost.empty?

      raise Tables::Misspelt, "#{Tables.where(:cues, :cues, cue.name)}: #{cue.name} is nowhere about #{lost.join(", ")}"
    end

    # What a sign shows is a number of the mechanism on which it is seen.
    def look_over_reading(sign, family)
      return unless sign.shows

      mechanics, place = Mechanisms.admit(family)
      return if mechanics.shown(sign.shows.number, place, mechanics.agreed(place))

      raise Tables::Misspelt,
            "#{Tables.where(:signs, :signs, sign.name)}: #{sign.name} shows #{sign.shows.number}, which " \
              "#{family.id} does not have"
    end

    # Every school of the order of a session has its row, and every rank its place in it.
    def look_over_orders
      ranks = Tables[:session][:ranks][:by_action].values.uniq.size
      known = Tables[:session][:orders].to_h { |row| [row[:name], row.values_at(:places, :why).map(&:size)] }
      Guidance::HouseRules
        .fetch(:session_order)
        .schools
        .each_key do |school|
          next if known[school] == [ranks, ranks]

          raise Tables::Misspelt,
                "#{Tables.where(:session, :orders)}: #{school} has no place for each of #{ranks} ranks"
        end
    end

    # A family that its mechanism serves, of which every finding is worded and every length has its points in the
    # picture. Answers the names of its numbers.
    def admit(family)
      mechanics, place = Mechanisms.admit(family)
      voice = Telling.of(mechanics, place)
      unsaid = mechanics.all_findings(place).reject { |finding| voice.tell(finding) }.map(&:code)
      Mechanisms.refuse(family, "sentences of #{voice.class.name}", unsaid)
      Mechanisms.refuse(
        family,
        "points of the picture",
        family.constants.each_value.flat_map(&:tape) - Scenes.of(mechanics, place).at_rest.points.keys
      )
      mechanics.quantities(place).keys
    end

    # {vocabulary => names}, whole but for the numbers of mechanisms (:quantity).
    def names(families)
      tags = [*Machines::Declaration::ASKED, *Machines::Declaration::SAID, *Machines::Declaration::ACTIONS]
      {
        **of_tables,
        **of_families(families),
        **families.map { |family| of(family) }.inject({}, :merge),
        **Mechanisms::ALL.keys.to_h { |name| ["rule of #{name}", Mechanisms.fetch(name)::RULES.keys] },
        tag: tags,
        bar: [*tags, *Guidance::CautionRule::CIRCUMSTANCES],
        motion: Body::Envelope::MOTIONS,
        body_parameter: Body::PARAMETERS,
        observation: Body::Observation::ALL.keys,
        stage: Guidance::Flow::STAGES
      }
    end

    def of_tables
      questions = Guidance::HouseRules::QUESTIONS
      limits = Guidance::Limits::ALL.keys
      rules = Guidance::Cautions::RULES
      {
        question: questions.keys,
        school: questions.each_value.flat_map { |one| one.schools.keys.map { |school| :"#{one.name}.#{school}" } },
        tempo: Guidance::HouseRules::TEMPOS.flat_map { |name| questions.fetch(name).schools.keys }.uniq,
        limit: limits,
        region: Guidance::Regions::ALL.keys,
        sign: Guidance::Signs::ALL.keys,
        move: Guidance::Moves::ALL.keys,
        known: [*limits, *BESIDE[:known]],
        caution: rules.keys,
        told: rules.each_value.flat_map { |rule| rule.told.map(&:key) }.uniq,
        joint: Guidance::CautionRule::JOINTS.keys,
        spared: [*Guidance::CautionRule::JOINTS.keys, *Guidance::Cautions::SPARED],
        action: [*BESIDE[:action], *Machines::Declaration::ACTIONS]
      }
    end

    # What any family has.
    def of_families(families)
      {
        wish: families.flat_map { |family| [*family.wishes.keys, *family.choices.keys] }.uniq,
        choice: [*families.flat_map { |family| family.choices.keys }, *BESIDE[:choice]].uniq,
        finding: families.flat_map { |family| family.findings.keys }.uniq,
        decision: families.flat_map(&:decisions).uniq,
        purpose: families.map(&:purpose).uniq
      }
    end

    # What one family has for itself.
    def of(family)
      steps = [*Guidance::Flow::FIXED, *Guidance::Flow::OF_TAGS.values]
      {
        "constant of #{family.id}" => family.constants.keys,
        "group of #{family.id}" => family.groups.keys,
        "finding of #{family.id}" => family.findings.keys,
        "kind of adjuster of #{family.id}" => family.kinds.keys,
        "decision or step of #{family.id}" => [*family.decisions, *family.choices.keys, *steps]
      }
    end

    # Every school, on every family of which its question is asked.
    def try_schools(question, families)
      families
        .select { |family| question.asked_of?(family) }
        .each do |family|
          question.schools.each do |school, wishes|
            try(:house_rules, :questions, question.name, school, family) { Mechanisms::Wishes.for(family, **wishes) }
          end
        end
    end

    # Every caution, cleared and not.
    def try_caution(rule, families)
      families
        .product([true, false])
        .each do |family, cleared|
          try(:cautions, :cautions, rule.name, nil, family) do
            effect = Guidance::Cautions.effect(family, [Guidance::Cautions::Caution.of(rule.name, cleared: cleared)])
            Mechanisms::Wishes.for(family, envelope: effect.envelope, **effect.wishes)
          end
        end
    end

    def try(table, rows, name, part, family)
      yield
    rescue ArgumentError, Invalid => e
      raise Tables::Misspelt,
            "#{Tables.where(table, rows, name)}: #{[name, part].compact.join(", ")} on #{family.id}: #{e.message}"
    end

    # A sign that is seen on it has a cause there, and a muscle is meant to work; its action has a rank in a session.
    def look_over(family)
      unless Tables[:session][:ranks][:by_action].key?(family.action)
        raise Tables::Misspelt, "#{Tables.where(:session, :ranks)}: #{family.action} of #{family.id} has no rank"
      end

      Guidance::Signs::ALL
        .each_value
        .select { |sign| family.all?(sign.of) }
        .each do |sign|
          look_over_reading(sign, family)
          next if sign.causes.any? { |cause| cause.meant_on?(family) }

          raise Tables::Misspelt,
                "#{Tables.where(:signs, :signs, sign.name)}: #{sign.name} has no cause on #{family.id}"
        end
      return if Guidance::Regions::ALL.each_value.any? { |region| region.works.include?(family.purpose) }

      raise Tables::Misspelt,
            "#{Tables.where(:regions, :regions)}: no muscle is meant to work for #{family.purpose}, the purpose of " \
              "#{family.id}"
    end
    private_class_method :of_tables, :of_families, :of, :try
  end
end
