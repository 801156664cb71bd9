# frozen_string_literal: true

module Verglas
  module Tables
    # What may stand in a column. Each answers a reader: (what the file has, Place) to the typed value, or Misspelt.
    module Columns
      NAME = /\A[a-z][a-z0-9_]*\z/
      # A column that may be left out, and what holds then.
      Maybe = Struct.new(:reader, :usual)

      module_function

      # A name of our own, as a Symbol.
      def name = ->(given, at) { given.to_s.match?(NAME) ? given.to_sym : at.refuse(given.inspect, "name") }
      def text = ->(given, at) { given.is_a?(String) ? given : at.refuse(given.inspect, "text") }
      def flag = ->(given, at) { [true, false].include?(given) ? given : at.refuse(given.inspect, "yes or no") }
      def maybe(reader, usual = nil) = Maybe.new(reader, usual)

      # A number, or the figure of another table: "=press.stop.slack_mm".
      def number
        lambda do |given, at|
          found = given.is_a?(String) && given.start_with?("=") ? Tables.figure(given, at) : given
          found.is_a?(Numeric) && found.to_f.finite? ? found : at.refuse(given.inspect, "number")
        end
      end

      # One of a few names.
      def one_of(*known)
        lambda { |given, at| known.include?(given.to_s.to_sym) ? given.to_sym : at.refuse(given, "choice here", known) }
      end

      # A name that stands elsewhere: in another table, or in what families declare. Looked for when all is read
      # (Closing).
      def named(vocabulary) = ->(given, at) { name.call(given, at).tap { |one| at.refer(vocabulary, one) } }

      # {question => school} and the like: the two together are a name of a vocabulary ("question.school").
      def paired(keys, pairs)
        lambda do |given, at|
          map(named(keys), name).call(given, at).each { |key, value| at.within(key).refer(pairs, :"#{key}.#{value}") }
        end
      end

      def list(reader)
        lambda do |given, at|
          at.refuse(given.inspect, "list") unless given.is_a?(Array)
          given.each_with_index.map { |one, index| reader.call(one, at.within(index)) }
        end
      end

      # A list with one reader a place: [least, most].
      def tuple(*readers)
        lambda do |given, at|
          at.refuse(given.inspect, "list of #{readers.size}") unless given.is_a?(Array) && given.size == readers.size
          given.each_with_index.map { |one, index| readers[index].call(one, at.within(index)) }
        end
      end

      # From and up to; an open end is nil.
      def ends = tuple(*Array.new(2) { ->(given, at) { given && number.call(given, at) } })
      def range = tuple(number, number)

      def map(keys, values)
        lambda do |given, at|
          at.refuse(given.inspect, "table") unless given.is_a?(Hash)
          given.to_h { |key, value| [keys.call(key, at.within(key)), values.call(value, at.within(key))] }
        end
      end

      # A row with these columns and no other.
      def row(**columns)
        lambda do |given, at|
          at.refuse(given.inspect, "row") unless given.is_a?(Hash)
          given.each_key { |key| at.within(key).refuse(key, "column", columns.keys) unless columns.key?(key) }
          columns.to_h { |key, column| [key, cell(given, key, column, at)] }
        end
      end

      # A row that names its source, which is kept in the file.
      def cited(**columns)
        whole = row(**columns, source: text)
        ->(given, at) { whole.call(given, at).except(:source) }
      end

      # Cited rows, each with a name of its own.
      def rows(**columns)
        each = list(cited(name: name, **columns))
        lambda do |given, at|
          each
            .call(given, at)
            .tap do |read|
              read.each_with_index do |one, index|
                if read.take(index).any? { |other| other[:name] == one[:name] }
                  raise Misspelt, "#{at.within(index)}: #{one[:name]} is said twice"
                end
              end
            end
        end
      end

      # Cited figures, {name => number}.
      def figures(*names) = cited(**names.to_h { |name| [name, number] })

      # As many readers as there are names, each a row's.
      def by_name(**readers)
        lambda do |given, at|
          named = given.is_a?(Hash) ? given[:name].to_s.to_sym : nil
          at.refuse(named, "row here", readers.keys) unless readers.key?(named)
          readers.fetch(named).call(given, at)
        end
      end

      def cell(given, key, column, at)
        maybe = column.is_a?(Maybe)
        return maybe ? column.usual : raise(Misspelt, "#{at}: #{key} is missing") unless given.key?(key)
        return if given[key].nil? && maybe && column.usual.nil?

        (maybe ? column.reader : column).call(given[key], at.within(key))
      end
      private_class_method :cell
    end
  end
end
