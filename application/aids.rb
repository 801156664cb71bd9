# frozen_string_literal: true

module Verglas
  module Application
    # What is chosen with the marks of a fitting, by name: cushions and pads by size in mm, 0 where none lies there; and
    # what is placed (the feet on a plate, a link of a chain), as far as it was.
    module Aids
      CHOICES =
        Machines::Families
          .single
          .flat_map { |family| family.choices.values }
          .to_h { |choice| [choice.name.to_s, choice] }
          .freeze
      LAID = CHOICES.reject { |_, choice| choice.placed? }.keys.freeze
      PLACED = (CHOICES.keys - LAID).freeze
      ADDED = CHOICES.select { |_, choice| choice.added? }.keys.freeze

      THICKEST_MM = 200

      # What a gym may own of them.
      KINDS = LAID.map { |name| name.delete_suffix("_mm") }.freeze

      module_function

      # Whatever was kept, whole.
      def of(given)
        known = given.to_h.transform_keys(&:to_s).compact
        { **LAID.to_h { |name| [name, known.fetch(name, 0).to_f] }, **known.slice(*PLACED).transform_values(&:to_f) }
      end

      # As it is advised: a place to the whole number that stands on the screen.
      def advised(wishes) = of(wishes).to_h { |name, size| [name, PLACED.include?(name) ? size.round.to_f : size] }

      # The same of what was sent: raises Invalid for a name that nobody knows, what is thicker than anything that is
      # laid, and more than can be added.
      def sent(given)
        unknown = given.to_h.keys.map(&:to_s) - CHOICES.keys
        raise Invalid.new(:unknown_field, path: "/aids/#{unknown.first}") if unknown.any?

        of(given).each do |name, size|
          raise Invalid.new(:too_large, path: "/aids/#{name}", expected: most(name)) if size > most(name)
        end

        of(given)
      end

      # Of what is placed the mechanism says how far it goes.
      def most(name)
        CHOICES.fetch(name).then { |choice| choice.placed? ? choice.most || Float::INFINITY : THICKEST_MM }
      end

      # What a family can wish for of them.
      def wishes(family, given) = of(given).transform_keys(&:to_sym).slice(*family.choices.keys)

      # Cushions and pads that lie somewhere.
      def laid(aids) = aids.slice(*LAID).select { |_, size| size.positive? }

      # All of it in sentences. bands: the gym's own, {N => what it is called}.
      def says(aids, bands = {})
        [
          *laid(aids).map { |name, size| Formats::Words.say("aids.#{name}.lay", size: size.round) },
          *aids
            .slice(*PLACED)
            .reject { |name, size| ADDED.include?(name) && size.zero? }
            .map { |name, size| stands(name, size.round, bands) }
        ]
      end

      def stands(name, size, bands)
        called = bands[size] if CHOICES.fetch(name).of == :bands
        Formats::Words.say("aids.#{name}.#{called ? "called" : "stands"}", size: size, name: called)
      end
    end
  end
end
