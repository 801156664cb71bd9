# frozen_string_literal: true

module Verglas
  module Tables
    # Where in a table something stands: the Source and the keys and indices that lead there.
    Place =
      Struct.new(:source, :path) do
        def within(step) = Place.new(source, [*path, step])
        def to_s = "#{source.name}:#{source.line(path)}"

        # Keeps a name that stands elsewhere, to be looked for (Reference).
        def refer(vocabulary, name) = source.references << Reference.new(vocabulary, name, self)

        # Raises Misspelt: name is not what stands here; known: what could.
        def refuse(name, what, known = []) = raise(Misspelt, "#{self}: #{Tables.complaint(name, what, known)}")
      end
  end
end
