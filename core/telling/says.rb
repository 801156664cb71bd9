# frozen_string_literal: true

module Verglas
  module Telling
    # A sentence as data: which of the messages, with which numbers and names; a param may be a sentence part of its
    # own. The words are made elsewhere (Formats::Words).
    Says = Struct.new(:code, :params) { def self.of(code, **params) = new(code.to_sym, params.freeze).freeze }
  end
end
