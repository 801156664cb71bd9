# frozen_string_literal: true

module Verglas
  module Ops
    # What bin/start serves: the demo gym, loaded where there is no gym yet.
    class DemoGym
      def prepare(database)
        require_relative "../demo/loader"
        Demo::Loader.new(database).load unless database[:gyms].first
      end

      # Lines.
      def told
        [
          "Sign in as #{Demo::Loader::SIGN_IN[:email]} with the password #{Demo::Loader::SIGN_IN[:password]}",
          "Ctrl-C stops it and the database it started; the data is kept in var/ (bin/start --fresh begins anew)."
        ]
      end
    end
  end
end
