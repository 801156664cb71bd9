# frozen_string_literal: true

module Verglas
  module Ops
    # What bin/start serves: the demo gym, loaded where there is no gym yet.
    class DemoGym
      # Nothing of it is lost that could not be loaded anew.
      def before_change(_database) = nil

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
