# frozen_string_literal: true

module Verglas
  module Tables
    # A name that a table or a declaration refers to, looked for once everything is read.
    #   vocabulary   what it is a name of; at: where it stands, answers to_s (file and line)
    Reference =
      Struct.new(:vocabulary, :name, :at) do
        # known: {vocabulary => names}. Raises Misspelt where there is none of that name.
        def check(known)
          names = known.fetch(vocabulary) { raise Misspelt, "#{at}: nobody has said what a #{vocabulary} is" }
          return if names.include?(name)
          raise Misspelt, "#{at}: #{Tables.complaint(name, vocabulary.to_s.tr("_", " "), names)}"
        end
      end
  end
end
