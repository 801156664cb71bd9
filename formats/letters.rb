# frozen_string_literal: true

module Verglas
  module Formats
    # What is said by e-mail, in plain text: a link of one use, and until when it opens something. Nothing of any client
    # is ever in a letter.
    module Letters
      module_function

      # {subject:, text:}. kind: "invitation" or "reset"; until_at: Time.
      def link(kind, gym:, name:, address:, until_at:)
        said = { gym: gym, name: name, address: address, time: until_at.utc.strftime("%Y-%m-%d %H:%M UTC") }
        { subject: Words.say("letters.#{kind}.subject", **said), text: Words.say("letters.#{kind}.text", **said) }
      end
    end
  end
end
