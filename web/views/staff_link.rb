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

        # made: {secret:, ends_at:}; at: where this server is reached; place: which of its pages opens it; emailed:
        # whether it was sent, nil where nothing is.
        def of(made, at:, place: PLACE, emailed: nil)
          address = address(made, at: at, place: place)
          ends_at = made[:ends_at] && Told.time(made[:ends_at])
          { address: address, ends_at: ends_at, code: code(address), emailed: emailed }
        end

        def address(made, at:, place: PLACE) = "#{at}#{place}##{made[:secret]}"

        # Rows of the code, from the top: 1 is dark.
        def code(address)
          RQRCodeCore::QRCode.new(address, level: :m).modules.map { |row| row.map { |dark| dark ? "1" : "0" }.join }
        end
        private_class_method :code
      end
    end
  end
end
