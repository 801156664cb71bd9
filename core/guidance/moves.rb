# frozen_string_literal: true

module Verglas
  module Guidance
    # How somebody gets in and out of a machine, move by move: which there are for a family, whether an order is
    # possible, and what is left behind for the next one. core/data/moves.yml
    module Moves
      # of: tags of the families on which it is done; at: :in or :out; who: :client or :instructor, as a rule; what: is
      # moved; after: names of those that come before it where they are in the list; unloads: what bore on the next one
      # rests after it; loaded: something bears on it until then; catch: whether it may free itself; leaves: what the
      # next one finds, unless undone_by comes too (nil for nothing).
      Move = Value.define(:name, :of, :at, :who, :what, :after, :unloads, :loaded, :catch, :leaves, :undone_by)
      # One of a machine's list: frees: whether this machine's catch does it by itself.
      Entry = Struct.new(:move, :who, :frees)

      ALL = Tables[:moves][:moves].to_h { |row| [row[:name], Move.new(**row)] }.freeze
      WAYS = %i[in out].freeze
      WHO = %i[client instructor].freeze

      module_function

      # Those of a family one way, in the table's order.
      def of(family, way) = ALL.values.select { |move| move.at == way && family.all?(move.of) }

      # {in: [Entry], out: [Entry]} of plain data, {"in" => [{"move", "who", "frees"}], "out" => ...}. families: of all
      # that is done on the machine. Raises Invalid where a move is none of theirs, comes twice, or an order is not
      # possible.
      def read(data, families)
        WAYS.to_h do |way|
          list = data.fetch(way.to_s, [])
          entries = list.each_with_index.map { |one, index| entry(one, way, families, "/moves/#{way}/#{index}") }
          check(entries, way)
          [way, entries]
        end
      end

      # Some by name as a machine's list has them, each done by whom it usually is.
      def usually(names)
        names.map { |name| { "move" => name, "who" => ALL.fetch(name.to_sym).who.to_s, "frees" => false } }
      end

      # Keys of what the next one finds.
      def left(entries)
        done = entries.values.flatten(1).map { |one| one.move.name }
        moves = entries.values.flatten(1).map(&:move)
        moves.select { |move| move.leaves && !done.include?(move.undone_by) }.map(&:leaves)
      end

      def entry(given, way, families, path)
        move = ALL[given["move"].to_s.to_sym]
        unless move && move.at == way && families.any? { |family| family.all?(move.of) }
          raise Invalid.new(:unknown_move, path: path, move: given["move"].to_s)
        end

        frees = given["frees"] == true
        raise Invalid.new(:frees_no_catch, path: path, move: move.name) if frees && !move.catch

        Entry.new(move, WHO.find { |who| who.to_s == given["who"] } || move.who, frees)
      end

      # Nothing before what it comes after, nothing moved that still bears a load.
      def check(entries, way)
        moves = entries.map(&:move)
        moves.each_with_index do |move, index|
          path = "/moves/#{way}/#{index}"
          raise Invalid.new(:move_twice, path: path, move: move.name) if moves.index(move) < index

          later = moves.drop(index + 1).map(&:name) & move.after
          raise Invalid.new(:move_too_early, path: path, move: move.name, after: later.first) if later.any?
          next unless move.loaded && moves.take(index).none?(&:unloads)

          raise Invalid.new(:move_still_loaded, path: path, move: move.name)
        end
      end
      private_class_method :entry, :check
    end
  end
end
