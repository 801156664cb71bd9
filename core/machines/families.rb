# frozen_string_literal: true

module Verglas
  module Machines
    # The register of families: each file of families/ declares its own when it loads; then each is looked over by what
    # depends on it, and the register is closed.
    module Families
      @all = {}
      @beside = {}
      @references = []
      @all_exercises = {}.compare_by_identity

      class << self
        # mechanism: its name in Mechanisms; beside: {family => exercise} of the machines on which it is done beside
        # what they are there for, where no machine is of it alone; traits: what those want to know of the family; the
        # block declares it (Declaration).
        def define(id, mechanism:, beside: {}, **traits, &block)
          declaration = Declaration.of(id, mechanism: mechanism, traits: traits, &block)
          @references.concat(declaration.references)
          return register(declaration.family) if beside.empty?

          beside.each { |whole, exercise| (@beside[whole] ||= {})[exercise] = declaration.family }
          declaration.family
        end

        # Names in declarations that stand elsewhere (Tables::Reference).
        attr_reader :references

        # One machine on which several exercises are done: {name => Family}; the others as Station has them.
        def station(id, exercises:, own:, set_anew: false, shared_kinds: [])
          register(
            Station.new(
              id: id,
              exercises: exercises.freeze,
              own: own,
              set_anew: set_anew,
              shared_kinds: shared_kinds.freeze
            )
          )
        end

        def register(family)
          raise ArgumentError, "#{family.id} is registered already" if @all.key?(family.id)

          @all[family.id] = family
        end

        def close
          @beside.each_value(&:freeze)
          [@all, @beside].each(&:freeze)
        end

        def all = @all.values

        # {exercise => Family} of what is done on a family's machines beside what they are there for.
        def beside(whole) = @beside.fetch(whole.id, {})

        # {name => Family} of all that is done on them but for what it is done for.
        def plain_exercises(whole) = { **whole.exercises, **beside(whole) }

        # Every family that a machine's exercise is of, whether a machine can be nothing else or not, once.
        def single = all.flat_map { |family| plain_exercises(family).values }.uniq(&:id)

        # A family that an exercise is of. Raises Invalid where it is none.
        def of_exercise(id)
          single.find { |family| family.id.to_s == id.to_s } ||
            raise(Invalid.new(:unknown_family, path: "/family", family: id.to_s))
        end

        # {name => Family} of all that is done on machines of a family or station that is registered.
        def all_exercises(whole)
          @all_exercises[whole] ||= begin
            beside =
              beside(whole).map do |name, family|
                { name => family, **family.emphases.transform_keys { |own| "#{name}_#{own}" } }
              end
            { **whole.exercises, **whole.emphases, **beside.inject({}, :merge) }.freeze
          end
        end

        # One of some exercises, {name => Family}; "" is the one that needs no name. Raises Invalid where it is none.
        def exercise(all, name)
          all.fetch(name.to_s[/.+/]) do
            raise Invalid.new(:unknown_exercise, path: "/exercise", exercise: name.to_s, known: all.keys.compact)
          end
        end

        # Of two words for one family, what it is and of which kind: its id.
        def named(family, kind)
          both = "#{family}_#{kind}"
          kind && @all.key?(both.to_sym) ? both : family
        end

        def known?(id) = @all.key?(id.to_s.to_sym)

        def fetch(id)
          @all.fetch(id.to_s.to_sym) { raise Invalid.new(:unknown_family, path: "/family", family: id.to_s) }
        end
      end
    end
  end
end
