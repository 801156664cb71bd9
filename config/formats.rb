# frozen_string_literal: true

# The core and the documents in which it speaks: enough for bin/compute.
require_relative "core"

module Verglas
  module Formats
  end
  load_folder("formats", namespace: Formats)
  Formats::FamilyWords.check!(Machines::Families.single)
end
