# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The families of machines that can be entered, and what their adjusters may move.
      module Families
        module_function

        def all
          told = Machines::Families.all.map do |family|
            { id: family.id, name: Formats::Words.say("families.#{family.id}"), hint: Formats::Words.say("family_hints.#{family.id}"),
              exercises: family.exercises.map { |name, one| { name: name.to_s, title: name && Formats::Words.say("exercises.#{name}"), kinds: kinds([*family.shared_kinds, *one.choosable_kinds]) } } }
          end
          told.sort_by { |family| family[:name] }
        end

        def kinds(kinds)
          kinds.map do |kind|
            words = ->(part) { Formats::Words.say("adjuster_kinds.#{kind.name}.#{part}") }
            { name: kind.name, title: words["title"], label: words["label"], forwards: words["forwards"], backwards: words["backwards"] }
          end
        end
        private_class_method :kinds
      end
    end
  end
end
