# frozen_string_literal: true

module Verglas
  # What the caller did wrong, as data: code (a symbol), path (where in the input, "/marks/roller"), params (numbers,
  # names). The words are made elsewhere; `message` serves logs and the command line.
  class Invalid < StandardError
    attr_reader :code, :path, :params

    def initialize(code, path: "", **params)
      @code = code
      @path = path
      @params = params
      details = params.map { |name, value| "#{name}: #{value.inspect}" }.join(", ")
      super("#{code.to_s.tr("_", " ")}#{" at #{path}" unless path.empty?}#{" (#{details})" unless details.empty?}")
    end

    # The same complaint, seen from one level further out.
    def below(prefix) = self.class.new(code, path: "#{prefix}#{path}", **params)
  end
end
