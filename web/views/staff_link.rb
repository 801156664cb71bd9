# frozen_string_literal: true

require "rqrcode_core"

module Verglas
  module Web
    module Views
      # A link of one use, to be told and to be scanned. Its secret stands behind the # of the address, which no browser
      # sends to a server and no log holds.
      module StaffLink
        PLACE = "/welcome"

        module_function

        # made: {secret:, ends_at:}; at: where this server is reached; place: which of its pages opens it.
        def of(made, at:, place: PLACE)
          address = "#{at}#{place}##{made[:secret]}"
          { address: address, ends_at: made[:ends_at] && Told.time(made[:ends_at]), code: code(address) }
        end

        # Rows of the code, from the top: 1 is dark.
        def code(address)
          RQRCodeCore::QRCode.new(address, level: :m).modules.map { |row| row.map { |dark| dark ? "1" : "0" }.join }
        end
        private_class_method :code
      end
    end
  end
end
