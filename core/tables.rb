# frozen_string_literal: true

module Verglas
  # The tables of core/data, read once, held to their layouts and frozen: the only place where the core touches a file.
  # A column that nobody knows, a name that nothing has and a number that is none are Misspelt, with file, line and the
  # nearest name there is. Every row names its source or says "working figure".
  module Tables
    FOLDER = File.join(__dir__, "data")

    # What is wrong in a table or a declaration.
    class Misspelt < ArgumentError
    end

    module_function

    # A table as its layout has it: names as Symbols, columns that are left out with what is usual of them.
    def [](name) = (@tables ||= {})[name] ||= read(name, sources[name])

    # {name => Source} of every table that was asked for.
    def sources = @sources ||= Hash.new { |all, name| all[name] = source(name) }

    # Names in tables that stand elsewhere, of all that there are.
    def references = Layouts::ALL.each_key { |name| self[name] }.keys.flat_map { |name| sources[name].references }

    # text: of a file other than that of core/data.
    def source(name, text = nil)
      path = File.join(FOLDER, "#{name}.yml")
      Source.new("core/data/#{name}.yml", text || File.read(path))
    end

    # What stands in a source, by the layout of that name.
    def read(name, source)
      Layouts::ALL.fetch(name).call(source.data, Place.new(source, [])).tap { |data| freeze_whole(data) }
    end

    # File and line of some rows, or of the row of that name among them.
    def where(table, rows, name = nil)
      at = Place.new(sources[table], [rows])
      index = name && at.source.data[rows].index { |row| row[:name].to_s == name.to_s }
      (index ? at.within(index) : at).to_s
    end

    # A figure that another table has: "=press.stop.slack_mm", rows by their name. at: the Place that refers to it.
    def figure(reference, at)
      name, *path = reference.delete_prefix("=").split(".").map(&:to_sym)
      at.refuse(name, "a table", Layouts::ALL.keys) unless Layouts::ALL.key?(name)
      path.inject(self[name]) do |node, key|
        rows = node.is_a?(Array) ? node.to_h { |row| [row[:name], row] } : node
        at.refuse(key, "in #{name}", rows.keys) unless rows.is_a?(Hash) && rows.key?(key)
        rows[key]
      end
    end

    # The nearest of some names, for "did you mean".
    def nearest(name, known) = known.max_by { |one| DidYouMean::JaroWinkler.distance(name.to_s, one.to_s) }

    # "loads_nee is no tag: did you mean loads_knee?"
    def complaint(name, what, known)
      meant = nearest(name, known)
      "#{name} is no #{what}#{": did you mean #{meant}?" if meant}"
    end

    def freeze_whole(node)
      case node
      when Hash
        node.each_value { |child| freeze_whole(child) }
      when Array
        node.each { |child| freeze_whole(child) }
      end
      node.freeze
    end
    private_class_method :freeze_whole
  end
end
