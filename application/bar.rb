# frozen_string_literal: true

module Verglas
  module Application
    # What keeps a client off a machine, for words: a code and its numbers.
    Bar = Value.define(:code, :params) { def self.of(code, **params) = new(code: code, params: params) }
  end
end
